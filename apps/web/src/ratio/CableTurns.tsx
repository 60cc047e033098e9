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
      <Field
        label={`Cable turns per ${per}, on the instrument’s face`}
        value={cable}
        onChangeText={onCable}
        inputMode="decimal"
        testID={testID}
      />
      <Segments
        label="Cable turns per"
        options={[
          ['mile', 'Per mile'],
          ['km', 'Per km'],
        ]}
        value={per}
        onChange={onPer}
      />
    </>
  );
}
