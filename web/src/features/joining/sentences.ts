import { fill, sentences } from '../../shared/text'

/** What this part of the page says, ready to be put into another language. */
export const say = sentences('joining', {
  deviceClientsListens: 'A device of the client’s listens',
  openedSOwnPhone: fill(
    'Opened on {name}’s own phone, tablet or computer, a page hears that machine’s buttons and shows them there and on this bench. It can send presses and see nothing else.',
    'name',
  ),
  listensFor: fill('listens for {hostName}', 'hostName'),
  end: 'End it',
  endWithName: fill('End {name}', 'name'),
  addHostFirstMachine: 'Add a host first: the machine that will listen.',
  whichHost: 'Which host is it?',
  makeCode: 'Make a code',
  codeJoin: 'A code to join by',
  open: fill('Open on {hostName}:', 'hostName'),
  openAnywhere: 'Open on any phone that reaches this computer:',
  type: 'and type',
  code: fill('Code {code}', 'code'),
  scan: 'or scan:',
  lapsesLeadsOneDevice: fill(
    'It lapses at {expiresAt}, and leads one device to {hostName}.',
    'expiresAt',
    'hostName',
  ),
  lapsesOpensList: fill(
    'It lapses at {expiresAt} tomorrow, and opens this list and nothing else.',
    'expiresAt',
  ),
  takeCodeBack: 'Take the code back',
  fromOtherMachines: 'From other machines',
  theyReachKippen: fill(
    'They reach Kippen at {address}: to join by a code, and for nothing else.',
    'address',
  ),
  beingOpened: fill('Being opened at {wanted} …', 'wanted'),
  beingClosed: 'Being closed …',
  closedOnlyBrowserThis: 'Closed: only a browser on this machine can join.',
  couldNotOpened: fill('It could not be opened: {failed}.', 'failed'),
  close: 'Close it',
  giveUp: 'Give up',
  openedEveryMachineNetwork:
    'Opened, every machine in the network you share can reach this one at an address of its own, join by a code and send presses; nothing else. What goes over it is not encrypted. It stays open until it is closed here, or Kippen is stopped.',
  whichAddressThisMachine: 'At which address of this machine?',
  openAlone: 'Open it at',
  leadCanOpenHere: 'A lead can open it here.',
  cantOpenedFromHere:
    'It can’t be opened from here: this machine is in no network, or Kippen was not started by bin/start.',
})
