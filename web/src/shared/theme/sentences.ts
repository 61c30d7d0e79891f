/** What this part of the page says, ready to be put into another language. */
export const say = {
  atkinsonHyperlegibleNextVariable: "'Atkinson Hyperlegible Next Variable', sans-serif",
}
