import { t } from '@patient-badger/wording/people';
import { DISTANCE_UNITS, type ShopSettings } from '@patient-badger/contract';
import { LENGTH_UNITS } from '@patient-badger/core';
import { TORQUE_UNITS } from '@patient-badger/core';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { UNIT_NAMES } from '../wording/unitNames.ts';

type Units = Pick<ShopSettings, 'lengthUnit' | 'distanceUnit' | 'torqueUnit'>;

interface Props {
  readonly value: Units;
  readonly onChange: (change: Partial<Units>) => void;
}

/** What the shop reads and writes in, unless a device says otherwise. */
export const UnitFields = ({ value, onChange }: Props) => (
  <>
    <Text variant="label">{t.lengths}</Text>
    <Segments
      label={t.lengths}
      options={LENGTH_UNITS.map((each) => [each, UNIT_NAMES[each]] as const)}
      value={value.lengthUnit}
      onChange={(lengthUnit) => onChange({ lengthUnit })}
    />
    <Text variant="label">{t.distances}</Text>
    <Segments
      label={t.distances}
      options={DISTANCE_UNITS.map((each) => [each, UNIT_NAMES[each]] as const)}
      value={value.distanceUnit}
      onChange={(distanceUnit) => onChange({ distanceUnit })}
    />
    <Text variant="label">{t.torques}</Text>
    <Segments
      label={t.torques}
      options={TORQUE_UNITS.map((each) => [each, each] as const)}
      value={value.torqueUnit}
      onChange={(torqueUnit) => onChange({ torqueUnit })}
    />
  </>
);
