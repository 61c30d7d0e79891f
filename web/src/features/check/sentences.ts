import { counted, fill, sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('check', {
  title: 'Before it goes on the devices',
  counts: counted(
    '{serious, plural, =0 {nothing serious} one {# serious} other {# serious}} · {look, plural, =0 {nothing else worth a look} one {# worth a look} other {# worth a look}} · looked at again at each save',
    'serious',
    'look',
  ),
  bears: 'Waits this client bears, ms',
  bearsSet: fill('Waits of up to {ms} ms are borne.', 'ms'),
  serious: 'Serious',
  look: 'Worth a look',
  nothing: 'Nothing was found.',
  notFound: fill('Looked for and not found: {names}.', 'names'),
  leftOut: fill('Took too long to be looked for: {names}.', 'names'),
  mend: 'What would mend it',
  mendOf: fill('What would mend it: {what}', 'what'),
  show: 'Show it',
  showOf: fill('Show it: {what}', 'what'),
  sheetTitle: 'What would mend it',
  looking: 'What would mend it is being tried …',
  chooseOne: 'One of these',
  noFix: 'Nothing that Kippen can change mends this alone without doing as much harm.',
  gone: 'This is found no more.',
  differs: 'What differs afterwards',
  doThis: 'Do this',
  done: fill('{words}.', 'words'),
})
