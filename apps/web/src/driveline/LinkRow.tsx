import { t } from '@patient-badger/wording/driveline';
import type { FaultMode, Joint } from '@patient-badger/core/machine';
import { LinkGlyph } from './LinkGlyph.tsx';
import { type Appearance } from './appearance.ts';
import { Row } from './StationRow.tsx';

export function Link({ appearance, joint, narrow }: { appearance: Appearance; joint: Joint; narrow?: boolean | undefined }) {
  const { chains, colours, nextAt, suspectAt } = appearance;
  const load = appearance.loads?.[joint.id];
  const lit = nextAt === joint.id || suspectAt === joint.id || load?.isFuse === true;
  const modes = chains ? chains.map(({ fault }) => (fault?.joint === joint.id ? fault.mode : undefined)) : [undefined];
  const mode = modes.find((each) => each !== undefined);
  return (
    <Row
      appearance={appearance}
      place={joint.id}
      name={joint.name ?? joint.id}
      glyphs={modes.map((each, i) => (
        <LinkGlyph key={i} type={joint.type} colours={colours} lit={lit} fault={each} />
      ))}
      words={mode ? [{ text: FAULT_WORDS[mode], marked: true }] : load?.words}
      share={load?.share}
      quiet
      narrow={narrow}
      run="through"
      gapAt={modes.findIndex((each) => each !== undefined)}
    />
  );
}

export const FAULT_WORDS: Readonly<Record<FaultMode, string>> = {
  open: t.theFaultItCarriesNothing,
  slips: t.theFaultItSlipsUnder,
  skips: t.theFaultItJumpsUnder,
  jammed: t.theFaultStuckFast,
};
