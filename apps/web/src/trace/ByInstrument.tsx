import { t } from '@patient-badger/wording/trace';
import { resultOfFigure, resultOfTurns, trueValue, type InstrumentReading } from '@patient-badger/core/gear';
import { slides, soundMovement, type KinematicLook, type Look, type Pack, type TableLook } from '@patient-badger/core/machine';
import { Text } from '../design/Text.tsx';
import { InstrumentCard } from '../instrument/InstrumentCard.tsx';
import { figureText } from '../wording/readingText.ts';
import { TypedFigure } from '../instrument/TypedFigure.tsx';
import { resultName } from '@patient-badger/wording/results';

export interface InstrumentProps {
  readonly jobId: string;
  readonly pack: Pack;
  readonly look: Look;
  readonly onBench: boolean;
  readonly say: (result: string, reading: InstrumentReading) => Promise<void>;
}

/** The device that can read this look, where it is on the bench; typing the figure is always possible. */
export function ByInstrument({ look, ...rest }: InstrumentProps) {
  if (look.kind === 'table') return look.figure ? <FigureLook {...rest} look={look} figure={look.figure} /> : null;
  return look.instrument && rest.onBench ? <CountedLook {...rest} look={look} kind={look.instrument} /> : null;
}

export type InstrumentLook<L> = Omit<InstrumentProps, 'look'> & { readonly look: L };

export function FigureLook({
  jobId,
  pack,
  look,
  figure,
  onBench,
  say,
}: InstrumentLook<TableLook> & { figure: NonNullable<TableLook['figure']> }) {
  const name = (value: number) => resultName(pack, look.id, resultOfFigure(look, value));
  const take = (reading: InstrumentReading) => void say(resultOfFigure(look, trueValue(reading)), reading);
  return (
    <>
      {figure.instrument && onBench ? (
        <InstrumentCard
          jobId={jobId}
          look={look.id}
          kind={figure.instrument}
          resultOf={(reading) => name(trueValue(reading))}
          onTake={take}
        />
      ) : null}
      <TypedFigure quantity={figure.quantity} unit={figure.unit} resultOf={name} onTake={take} />
      <Text variant="soft">{t.orSayItInA}</Text>
    </>
  );
}

export function CountedLook({
  jobId,
  pack,
  look,
  kind,
  say,
}: InstrumentLook<KinematicLook> & { kind: NonNullable<KinematicLook['instrument']> }) {
  return (
    <>
      <InstrumentCard
        jobId={jobId}
        look={look.id}
        kind={kind}
        sound={figureText(Math.abs(soundMovement(pack, look)), slides(pack.driveline, look.watch) ? 'mm' : 'turns')}
        resultOf={(reading) => resultName(pack, look.id, resultOfTurns(pack, look, reading))}
        onTake={(reading) => void say(resultOfTurns(pack, look, reading), reading)}
      />
      <Text variant="soft">{t.orByEye}</Text>
    </>
  );
}
