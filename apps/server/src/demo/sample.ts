import { SCENARIO } from '@patient-badger/knowledge/scenario';

/** How to get into the made-up shop: told to whoever asks, since nothing in it is real. */
export const SAMPLE = {
  names: SCENARIO.people.map(({ name }) => name),
  passphrase: 'rain on the tin roof',
  pin: '2580',
};
