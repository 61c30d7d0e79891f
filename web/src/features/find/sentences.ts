/** What this part of the page says, ready to be put into another language. */
export const say = {
  pressButton: 'Press the button',
  keysGamepadsFurtherMouse:
    'Keys, gamepads and further mouse buttons are heard anywhere; the left mouse button, wheel, pen and finger here on this patch. Tab, Shift and Escape stay as they are; Escape twice stops.',
  kippenListensEverythingThis: (name: string) =>
    `Kippen listens to everything this browser can hear, and shows which of ${name}’s buttons it is.`,
  stopEscEsc: 'Stop (Esc, Esc)',
  listenEverything: 'Listen to everything',
  heard: (listener: string) => `Heard on ${listener}`,
  heardBefore: 'Heard before',
  noButtonThisClient: 'No button of this client is known by it.',
  cantToldApartBrowser: (nameOf: string) => `Can’t be told apart: ${nameOf}. A browser hears both the same.`,
  down: 'down',
  level: (level: string) => `level ${level} %`,
  itsNumberNoTable: 'Its number is in no table: kept as it is.',
  giveSomethingDo: (name: string) => `Give ${name} something to do`,
  takeOut: (name: string) => `Take ${name} out`,
  takenOut: (name: string) => `${name} is taken out.`,
  added: (name: string) => `${name} is added.`,
  addDeviceFirstThen: 'Add a device first: then its buttons can be named.',
  notThisOne: 'Not this one? It is',
  itIs: 'It is',
  chooseButton: 'choose a button',
  newButton: 'A new button',
  nameNewButton: 'Name of the new button',
  whichDevice: 'On which device',
  add: 'Add it',
}
