import type { FaultMode, Joint, MotionOutput, Pack, TraceOutput } from '@patient-badger/core';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { useColours, type Colours } from '../design/useColours.ts';
import { areTwins, branchesAt, jointBetween, type Branch } from './branches.ts';
import { BranchGlyph } from './BranchGlyph.tsx';
import { LinkGlyph } from './LinkGlyph.tsx';
import { placeName } from './placeName.ts';
import { Place, type RunOfShaft } from './Place.tsx';
import { StationGlyph } from './StationGlyph.tsx';
import { stationShape } from './stationShape.ts';
import { motionWords } from './stationWords.ts';

/** A chain in motion: what each body does, and the angle it has turned to. */
export interface Chain {
  readonly output: MotionOutput;
  readonly angles: Readonly<Record<string, number>>;
  /** Where the fault sits, and how it shows. */
  readonly fault?: { readonly joint: string; readonly mode: FaultMode } | undefined;
}

interface Props {
  readonly pack: Pack;
  /** Tracing appearance: how much suspicion each place carries, and where the next look is. */
  readonly trace?: TraceOutput | undefined;
  /** How deep each place lies: opening steps still to do, by place. */
  readonly depth?: Readonly<Record<string, number>> | undefined;
  /** In motion: the sound chain, and beside it the one with the fault. */
  readonly chains?: readonly Chain[] | undefined;
  readonly onPlace?: ((place: string) => void) | undefined;
  /** What lies open below one place. */
  readonly opened?: { readonly place: string; readonly content: ReactNode } | undefined;
}

/** The chain from the driver at the top to the output at the bottom; the one picture of the whole job. */
export function DriveLine(props: Props) {
  const colours = useColours();
  const nextAt = props.trace?.next ? props.pack.looks.find(({ id }) => id === props.trace?.next?.look)?.at : undefined;
  const suspectAt = props.pack.faults.find(({ id }) => id === props.trace?.verdict?.fault)?.at;
  const appearance = { ...props, colours, nextAt, suspectAt, suspicion: suspicionByPlace(props.trace) };
  return (
    <View role="list" aria-label="Drive line">
      <Line appearance={appearance} ids={props.pack.order} />
    </View>
  );
}

interface Appearance extends Props {
  readonly colours: Colours;
  readonly nextAt: string | undefined;
  readonly suspectAt: string | undefined;
  readonly suspicion: Readonly<Record<string, number>>;
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
        {beside.map((each) => (
          <Row
            key={each.id}
            appearance={appearance}
            place={each.id}
            name={each.name}
            glyphs={[<BranchGlyph key="sign" colours={appearance.colours} lit={appearance.nextAt === each.id} last={!goesOn} />]}
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
        <Text variant="label">{branch.name ?? 'Aside'}</Text>
      </View>
      <View role="list" aria-label={branch.name}>
        <Line appearance={appearance} ids={branch.order} from={branch.from} narrow={appearance.chains !== undefined} />
      </View>
    </View>
  );
}

function Link({ appearance, joint, narrow }: { appearance: Appearance; joint: Joint; narrow?: boolean | undefined }) {
  const { chains, colours, nextAt, suspectAt } = appearance;
  const lit = nextAt === joint.id || suspectAt === joint.id;
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
      words={mode && [{ text: FAULT_WORDS[mode], marked: true }]}
      quiet
      narrow={narrow}
      run="through"
      gapAt={modes.findIndex((each) => each !== undefined)}
    />
  );
}

const FAULT_WORDS: Readonly<Record<FaultMode, string>> = {
  open: 'the fault: it carries nothing',
  slips: 'the fault: it slips under load',
  skips: 'the fault: it jumps under load',
  jammed: 'the fault: stuck fast',
};

interface StationProps {
  readonly appearance: Appearance;
  readonly id: string;
  readonly first: boolean;
  readonly narrow?: boolean | undefined;
  readonly run: RunOfShaft;
}

function Station({ appearance, id, first, narrow, run }: StationProps) {
  const { pack, chains, colours, nextAt } = appearance;
  const shape = stationShape(pack.driveline, id, first);
  const angles = chains ? chains.map((chain) => chain.angles[id] ?? 0) : [0];
  return (
    <Row
      appearance={appearance}
      place={id}
      name={placeName(pack, id)}
      glyphs={angles.map((angle, i) => (
        <StationGlyph key={i} shape={shape} angle={angle} colours={colours} lit={nextAt === id} />
      ))}
      words={chains && motionWords(pack, id, chains)}
      narrow={narrow}
      run={run}
    />
  );
}

type RowProps = Omit<Parameters<typeof Place>[0], 'chance' | 'next' | 'depth' | 'onPress' | 'expanded'> & {
  readonly appearance: Appearance;
  readonly place: string;
};

/** A place in the appearance of the moment, with what lies open below it. */
function Row({ appearance: { trace, chains, suspicion, nextAt, depth, onPlace, opened }, place, ...rest }: RowProps) {
  const open = opened?.place === place;
  return (
    <>
      <Place
        {...rest}
        chance={trace && !chains ? suspicion[place] : undefined}
        next={nextAt === place}
        depth={depth?.[place]}
        onPress={onPlace && (() => onPlace(place))}
        expanded={open}
      />
      {open ? opened.content : null}
    </>
  );
}

function suspicionByPlace(trace: TraceOutput | undefined): Record<string, number> {
  const sums: Record<string, number> = {};
  for (const { at, probability } of trace?.suspects ?? []) sums[at] = (sums[at] ?? 0) + probability;
  return sums;
}
