import type { GearQuantity, NextMeasurement } from '@patient-badger/core/gear';
import type { GearState } from '@patient-badger/core/job';
import type { ComponentProps, ReactNode } from 'react';
import { advisedReading } from './advised.ts';
import { MeasuredCard, type MeasuredCardProps } from './MeasuredCard.tsx';
import { SizedDrawing } from './SizedDrawing.tsx';

type Drawn<Quantity extends GearQuantity> = Pick<ComponentProps<typeof SizedDrawing<Quantity>>, 'quantities' | 'label' | 'spots' | 'axis'>;

interface Props<Quantity extends GearQuantity, Candidate>
  extends Drawn<Quantity>, Omit<MeasuredCardProps<Quantity, Candidate>, 'drawing' | 'next' | 'identified'> {
  readonly identified: MeasuredCardProps<Quantity, Candidate>['identified'] & {
    readonly data: { readonly nextMeasurement?: NextMeasurement } | undefined;
  };
  /** What the operation calls the dimensions that it advises; absent where the card advises none. */
  readonly advised?: Readonly<Record<string, Quantity>>;
  /** The gear itself. */
  readonly picture: (gear: GearState) => ReactNode;
}

/** The card of a gear that counts and a few sizes tell. */
export function SizedCard<Quantity extends GearQuantity, Candidate>({
  quantities,
  label,
  spots,
  axis,
  advised: names = {},
  picture,
  ...card
}: Props<Quantity, Candidate>) {
  const { identified, words } = card;
  return (
    <MeasuredCard
      {...card}
      drawing={({ gear, values, advised, onPick }) => (
        <SizedDrawing {...{ quantities, words, label, spots, axis, values, advised, onPick }}>{picture(gear)}</SizedDrawing>
      )}
      next={advisedReading(identified.data?.nextMeasurement, names, words)}
    />
  );
}
