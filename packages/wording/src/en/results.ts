import { AT_SERVICE, CANNOT_TELL, packModel, type KinematicLook, type Pack } from '@patient-badger/core/machine';
import { catalogue } from '../catalogue.ts';

export const t = catalogue({
  turns: 'It turns',
  less: 'It turns, but too little',
  still: 'It stands still',
  locked: 'Nothing will turn',
  irregular: 'It jerks',
  dead: 'The motor itself does not run',
  couldNotTell: 'Could not tell',
  both: (one: string, other: string) => `${one}, and ${other}`,
  sides: (watch: string, one: string, beside: string, other: string) => `${watch}: ${one}. ${beside}: ${other}`,
  atService: 'it came up at a service',
  ownerSays: (words: string) => `the owner says “${words}”`,
});

/** Words where they do not begin the sentence. */
const inside = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

type Side = keyof KinematicLook['words'];

/** What one watched body did. */
export const sideName = ({ words }: Pick<KinematicLook, 'words'>, result: string): string => words[result as Side] ?? t[result as Side];

/** What a result of a look is called: the family's words, else what is seen of any machine; the id where the look has no such result. */
export function resultName(pack: Pack, lookId: string, result: string): string {
  if (result === CANNOT_TELL) return t.couldNotTell;
  const look = pack.looks.find(({ id }) => id === lookId);
  const outcome = packModel(pack)
    .outcomes.get(lookId)
    ?.find((each) => each.result === result);
  if (!look || !outcome) return result;
  if (look.kind === 'table') {
    const name = (id: string) => look.results.find((each) => each.id === id)?.name ?? id;
    const [one, other] = outcome.parts ?? [result];
    return other === undefined ? name(one) : t.both(name(one), inside(name(other)));
  }
  const [one = '', other] = result.split('-');
  const body = (id: string) => pack.driveline.bodies.find((each) => each.id === id)?.name ?? id;
  return other === undefined
    ? sideName(look, one)
    : t.sides(body(look.watch), inside(sideName(look, one)), body(look.beside ?? ''), inside(sideName(look, other)));
}

/** Why the first chances of a fault were moved: by a fact of the family, or by what the owner says. */
export function shiftReason(
  pack: Pack,
  { why, complaint }: { readonly why?: string | undefined; readonly complaint?: string | undefined },
): string {
  if (complaint === undefined) return why ?? '';
  if (complaint === AT_SERVICE) return t.atService;
  return t.ownerSays(pack.complaints.find(({ id }) => id === complaint)?.says[0] ?? complaint);
}
