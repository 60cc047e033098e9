import { placeName } from './placeName.ts';
import { Place, type RunOfShaft } from './Place.tsx';
import { StationGlyph } from './StationGlyph.tsx';
import { stationShape } from './stationShape.ts';
import { motionWords } from './stationWords.ts';
import { type Appearance } from './appearance.ts';

export interface StationProps {
  readonly appearance: Appearance;
  readonly id: string;
  readonly first: boolean;
  readonly narrow?: boolean | undefined;
  readonly run: RunOfShaft;
}

export function Station({ appearance, id, first, narrow, run }: StationProps) {
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

export type RowProps = Omit<Parameters<typeof Place>[0], 'chance' | 'next' | 'depth' | 'onPress' | 'expanded'> & {
  readonly appearance: Appearance;
  readonly place: string;
};

/** A place in the appearance of the moment, with what lies open below it. */
export function Row({ appearance: { trace, chains, suspicion, nextAt, depth, pressable, onPlace, opened }, place, ...rest }: RowProps) {
  const open = opened?.place === place;
  return (
    <>
      <Place
        {...rest}
        chance={trace && !chains ? suspicion[place] : undefined}
        next={nextAt === place}
        depth={depth?.[place]}
        onPress={onPlace && (pressable?.includes(place) ?? true) ? () => onPlace(place) : undefined}
        expanded={open}
      />
      {open ? opened.content : null}
    </>
  );
}
