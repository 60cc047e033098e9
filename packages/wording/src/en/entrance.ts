import { catalogue, type Value } from '../catalogue.ts';

export const t = catalogue({
  aMadeUpShopTo: 'A made-up shop to look round in',
  aPassphrase: 'A passphrase',
  aShopMovesIn: 'A shop moves in',
  anEmptyCatalogue: 'An empty catalogue',
  askedOnceAllOfIt: 'Asked once. All of it can be changed later by an owner.',
  askingTheShopServerWho: 'Asking the shop server who may come in …',
  atLeastLettersAFew: (value: Value) =>
    `At least ${value} letters: a few words that have nothing to do with the shop or with each other. Write it down and lock it away.`,
  codeThatTheStartOf: 'Code that the start of the server has printed',
  everythingInItIsInvented: (passphrase: Value, pin: Value) =>
    `Everything in it is invented. Everybody’s passphrase is “${passphrase}”, everybody’s PIN ${pin}.`,
  forgottenThePassphraseAnOwner:
    'Forgotten the passphrase? An owner of the shop gives you a new one under The shop, People. Whoever runs the computer that the shop is on can do so for an owner.',
  itIsSignedInAnd: 'It is signed in, and nobody holds it.',
  onceOnEachDeviceIt: 'Once on each device; it is asked for again after thirty days.',
  openTheShop: 'Open the shop',
  partsOfMadeUpMakers: 'Parts of made-up makers in the catalogue. They can be taken out again.',
  sampleParts: 'Sample parts',
  soThatNobodyElseOn: 'So that nobody else on the network can be first.',
  somethingIsStillMissingAbove: 'Something is still missing above: it says what beside each field.',
  somethingToTryTheSearches: 'Something to try the searches with',
  units: 'Units',
  whoTakesThisDevice: 'Who takes this device?',
  youTheOwner: 'You, the owner',
});
