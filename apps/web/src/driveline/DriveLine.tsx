import { t } from '@patient-badger/wording/driveline';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { areTwins, branchesAt, jointBetween, type Branch } from './branches.ts';
import { BranchGlyph } from './BranchGlyph.tsx';
import { type RunOfShaft } from './Place.tsx';
import { type DriveLineProps, type Appearance } from './appearance.ts';
import { Station, Row } from './StationRow.tsx';
import { Link } from './LinkRow.tsx';
import { suspicionByPlace } from './suspicionByPlace.ts';

/** The chain from the driver at the top to the output at the bottom; the one picture of the whole job. */
export function DriveLine(props: DriveLineProps) {
  const colours = useColours();
  const nextAt = props.trace?.next ? props.pack.looks.find(({ id }) => id === props.trace?.next?.look)?.at : undefined;
  const suspectAt = props.pack.faults.find(({ id }) => id === props.trace?.verdict?.fault)?.at;
  const appearance = { ...props, colours, nextAt, suspectAt, suspicion: suspicionByPlace(props.trace) };
  return (
    <View role="list" aria-label={t.driveLine}>
      <Line appearance={appearance} ids={props.pack.order} />
    </View>
  );
}

interface LineProps {
  readonly appearance: Appearance;
  readonly ids: readonly string[];
  /** The station it branches off. */
  readonly from?: string | undefined;
  readonly narrow?: boolean | undefined;
}

function Line({ appearance, ids, from, narrow }: LineProps) {
  const { pack, chains } = appearance;
  return ids.map((id, i) => {
    const above = i === 0 ? from : ids[i - 1];
    const joint = above === undefined ? undefined : jointBetween(pack, above, id);
    const branches = branchesAt(pack, id);
    const last = i === ids.length - 1;
    const goesOn = !last || branches.length > 0;
    const beside = chains ? [] : pack.auxiliaries.filter((each) => each.beside === id);
    return (
      <View key={id} role="listitem">
        {joint ? <Link appearance={appearance} joint={joint} narrow={narrow} /> : null}
        <Station appearance={appearance} id={id} first={above === undefined} narrow={narrow} run={runOf(above !== undefined, goesOn)} />
        {beside.map((station) => (
          <Row
            key={station.id}
            appearance={appearance}
            place={station.id}
            name={station.name}
            glyphs={[<BranchGlyph key="sign" colours={appearance.colours} lit={appearance.nextAt === station.id} last={!goesOn} />]}
            quiet
            narrow={narrow}
            run={goesOn ? 'through' : 'none'}
          />
        ))}
        {last && areTwins(branches) && !chains ? (
          <Twins appearance={appearance} branches={branches} />
        ) : (
          branches.map((branch, b) => (
            <Lane key={branch.order.join()} appearance={appearance} branch={branch} goesOn={!last || b < branches.length - 1} />
          ))
        )}
      </View>
    );
  });
}

function runOf(above: boolean, below: boolean): RunOfShaft {
  if (above && below) return 'through';
  if (above) return 'above';
  return below ? 'below' : 'none';
}

/** Two lanes side by side under a fork. */
const Twins = ({ appearance, branches }: { appearance: Appearance; branches: readonly Branch[] }) => (
  <View>
    <View aria-hidden className="h-4 flex-row">
      <View className="flex-1">
        <View className="absolute bottom-0 left-[32.5px] top-0 w-[3px] bg-soft" />
        <View className="absolute left-[34px] right-0 top-[6px] h-[3px] bg-soft" />
      </View>
      <View className="flex-1">
        <View className="absolute left-0 top-[6px] h-[3px] w-[34px] bg-soft" />
        <View className="absolute bottom-0 left-[32.5px] top-[6px] w-[3px] bg-soft" />
      </View>
    </View>
    <View className="flex-row">
      {branches.map((branch) => (
        <View key={branch.order.join()} role="list" aria-label={branch.name} className="min-w-0 flex-1">
          <Line appearance={appearance} ids={branch.order} from={branch.from} narrow />
        </View>
      ))}
    </View>
  </View>
);

/** Where the shafts of the chains side by side run: on the line, and in a lane set in beside it. */
const LINE_AT = [34, 110] as const;
const LANE_AT = [74, 146] as const;

/** A lane set in beside the line, which runs on past it. */
function Lane({ appearance, branch, goesOn }: { appearance: Appearance; branch: Branch; goesOn: boolean }) {
  const shown = appearance.chains?.length ?? 1;
  return (
    <View className="pl-[40px]">
      {LINE_AT.slice(0, shown).map((left, i) => {
        const top = 8 + 8 * (shown - 1 - i);
        return (
          <View key={left} aria-hidden className="absolute bottom-0 left-0 top-0">
            <View
              className={`absolute top-0 w-[3px] bg-soft ${goesOn ? 'bottom-0' : ''}`}
              style={{ left: left - 1.5, ...(goesOn ? {} : { height: top + 3 }) }}
            />
            <View className="absolute h-[3px] bg-soft" style={{ left, top, width: (LANE_AT[i] ?? left) - left }} />
            <View className="absolute w-[3px] bg-soft" style={{ left: (LANE_AT[i] ?? left) - 1.5, top, height: 28 - top }} />
          </View>
        );
      })}
      <View className={shown > 1 ? 'h-[28px] pl-[148px]' : 'h-[28px] pl-[76px]'}>
        <Text variant="label">{branch.name ?? t.aside}</Text>
      </View>
      <View role="list" aria-label={branch.name}>
        <Line appearance={appearance} ids={branch.order} from={branch.from} narrow={appearance.chains !== undefined} />
      </View>
    </View>
  );
}
