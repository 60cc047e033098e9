import { t } from '@patient-badger/wording/intake';
import { VARIANT_FACT, type Pack } from '@patient-badger/core/machine';

/** Which of the family's orders of parts this machine has, as a question like the others. */
export const variantQuestion = ({ variants }: Pack): Pack['questions'][number] => ({
  fact: VARIANT_FACT,
  ask: t.builtOtherwise(variants.map(({ name, tell }) => `${name}: ${tell}`).join(' ')),
  kind: 'choice',
  choices: variants.map(({ id, name }) => ({ is: id, name })),
});
