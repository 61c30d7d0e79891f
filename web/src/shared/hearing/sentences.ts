import { fill, sentences } from '../text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('shared.hearing', {
  left: 'left',
  middle: 'middle',
  right: 'right',
  back: 'back',
  forward: 'forward',
  eraser: 'eraser',
  tip: 'tip',
  upperSide: 'upper side button',
  lowerSide: 'lower side button',
  tail: 'tail',
  key: fill('key {name}', 'name'),
  mouse: fill('mouse {button}', 'button'),
  pen: fill('pen {button}', 'button'),
  button: fill('button {number}', 'number'),
  touch: 'touch',
  wheel: fill('wheel {way}', 'way'),
  gamepad: fill('gamepad {number}, button {button}', 'number', 'button'),
  keptAndSentAgain: 'Kippen’s server does not answer. Presses are kept and sent again.',
  anotherBrowser: 'another browser',
  notTaken: 'A press could not be taken.',
})
