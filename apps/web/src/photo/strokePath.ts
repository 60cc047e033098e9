import { getStroke } from 'perfect-freehand';

export type Strokes = readonly (readonly (readonly [number, number])[])[];

/** The outline of one drawn line as an SVG path; places are shares of the picture's width and height. */
export function strokePath(stroke: Strokes[number], width: number, height: number): string {
  const outline = getStroke(
    stroke.map(([x, y]) => [x * width, y * height]),
    { size: Math.max(4, width / 60), thinning: 0.2, smoothing: 0.6, streamline: 0.4 },
  );
  const [first, ...rest] = outline;
  if (!first) return '';
  const point = ([x = 0, y = 0]: readonly number[]) => `${x.toFixed(1)} ${y.toFixed(1)}`;
  return `M${point(first)} ${rest.map((each) => `L${point(each)}`).join(' ')} Z`;
}
