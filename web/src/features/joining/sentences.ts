/** What this part of the page says, ready to be put into another language. */
export const say = {
  deviceClientsListens: 'A device of the client’s listens',
  openedSOwnPhone: (name: string) =>
    `Opened on ${name}’s own phone, tablet or computer, a page hears that machine’s buttons and shows them there and on this bench. It can send presses and see nothing else.`,
  listensFor: (hostName: string) => `listens for ${hostName}`,
  end: 'End it',
  endWithName: (name: string) => `End ${name}`,
  addHostFirstMachine: 'Add a host first: the machine that will listen.',
  whichHost: 'Which host is it?',
  makeCode: 'Make a code',
  codeJoin: 'A code to join by',
  open: (hostName: string) => `Open on ${hostName}:`,
  type: 'and type',
  code: (code: string) => `Code ${code}`,
  scan: 'or scan:',
  lapsesLeadsOneDevice: (expiresAt: string, hostName: string) =>
    `It lapses at ${expiresAt}, and leads one device to ${hostName}.`,
  takeCodeBack: 'Take the code back',
  fromOtherMachines: 'From other machines',
  theyReachKippen: 'They reach Kippen at',
  joinCodeForNothing: ': to join by a code, and for nothing else.',
  beingOpened: (wanted: string) => `Being opened at ${wanted} …`,
  beingClosed: 'Being closed …',
  closedOnlyBrowserThis: 'Closed: only a browser on this machine can join.',
  couldNotOpened: (failed: string) => `It could not be opened: ${failed}.`,
  close: 'Close it',
  giveUp: 'Give up',
  openedEveryMachineNetwork:
    'Opened, every machine in the network you share can reach this one at an address of its own, join by a code and send presses; nothing else. What goes over it is not encrypted. It stays open until it is closed here, or Kippen is stopped.',
  whichAddressThisMachine: 'At which address of this machine?',
  openAlone: 'Open it at',
  leadCanOpenHere: 'A lead can open it here.',
  cantOpenedFromHere:
    'It can’t be opened from here: this machine is in no network, or Kippen was not started by bin/start.',
}
