/** What this part of the page says, ready to be put into another language. */
export const say = {
  changed: (author: string) => `${author} changed`,
  yoursWouldDo: 'Yours would do',
  nothingThatDiffersNow: 'nothing that differs now',
  somethingThisPageWent: 'Something on this page went wrong',
  whatWasSaidSaved: (message: string) =>
    `What was said to be saved is saved. Load the page anew; if it breaks again, go back to the clients and tell whoever looks after Kippen: ${message}`,
  loadPageAnew: 'Load the page anew',
  clients: 'To the clients',
  more: 'More',
  asSystemHas: 'as the system has it',
  lightDark: 'Light or dark',
  viewerLooksOnly: 'viewer, looks only',
  kippen: 'Kippen',
  pages: 'Pages',
  clientsAlone: 'Clients',
  service: 'Service',
  myAccount: 'My account',
  signOut: 'Sign out',
  close: 'Close',
  kippenWithWords: (words: string) => `${words} · Kippen`,
}
