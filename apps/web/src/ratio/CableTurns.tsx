import { t } from '@patient-badger/wording/ratio';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';

export type CablePer = 'mile' | 'km';

interface Props {
  readonly cable: string;
  readonly per: CablePer;
  readonly onCable: (text: string) => void;
  readonly onPer: (per: CablePer) => void;
  readonly testID: string;
}

/** How often the cable turns for a mile or a km, as the instrument’s face says. */
export function CableTurns({ cable, per, onCable, onPer, testID }: Props) {
  return (
    <>
      <Field label={t.cableTurnsPerOnThe(per)} value={cable} onChangeText={onCable} inputMode="decimal" testID={testID} />
      <Segments
        label={t.cableTurnsPer}
        options={[
          ['mile', t.perMile],
          ['km', t.perKm],
        ]}
        value={per}
        onChange={onPer}
      />
    </>
  );
}
