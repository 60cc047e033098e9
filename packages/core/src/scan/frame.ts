/**
 * Where the gear lies in the picture: its centre, and how the circle of its tips is seen as an ellipse.
 * In its plane the tips lie at radius 1; angles run as in the picture, clockwise from the right as y runs down.
 */
export interface Frame {
  readonly x: number;
  readonly y: number;
  /** Long and short half axis of the rim, in pixels. */
  readonly long: number;
  readonly short: number;
  /** Direction of the long axis, radians. */
  readonly axis: number;
  readonly toPicture: (radius: number, angle: number) => readonly [number, number];
  readonly toPlane: (x: number, y: number) => { readonly radius: number; readonly angle: number };
  /** The frame after the rim was found at 1 + a₀ − 1 + a₁ cos + a₂ sin + a₃ cos 2 + a₄ sin 2 in this one's plane. */
  readonly moved: (harmonics: readonly number[]) => Frame;
  readonly scaled: (factor: number) => Frame;
}

type Matrix = readonly [number, number, number, number];

/** A circle of this radius. */
export const frameOf = (x: number, y: number, radius: number): Frame => frameBy(x, y, [radius, 0, 0, radius]);

function frameBy(x: number, y: number, matrix: Matrix): Frame {
  const [a, b, c, d] = matrix;
  const determinant = a * d - b * c;
  // Singular values of a two by two matrix, and the direction of the longer.
  const [sum, difference] = [(a * a + b * b + c * c + d * d) / 2, Math.abs(determinant)];
  const root = Math.sqrt(Math.max(0, sum * sum - difference * difference));
  const [p, q] = [a * a + b * b, a * c + b * d];
  return {
    x,
    y,
    long: Math.sqrt(sum + root),
    short: Math.sqrt(Math.max(0, sum - root)),
    axis: 0.5 * Math.atan2(2 * q, 2 * p - 2 * sum),
    toPicture: (radius, angle) => {
      const [u, v] = [radius * Math.cos(angle), radius * Math.sin(angle)];
      return [x + a * u + b * v, y + c * u + d * v];
    },
    toPlane: (px, py) => {
      const [u, v] = [(d * (px - x) - b * (py - y)) / determinant, (a * (py - y) - c * (px - x)) / determinant];
      return { radius: Math.hypot(u, v), angle: Math.atan2(v, u) };
    },
    moved: ([radius = 1, east = 0, south = 0, second = 0, fourth = 0]) => {
      const [m, n, o] = [radius + second, fourth, radius - second];
      return frameBy(x + a * east + b * south, y + c * east + d * south, [a * m + b * n, a * n + b * o, c * m + d * n, c * n + d * o]);
    },
    scaled: (factor) => frameBy(x * factor, y * factor, [a * factor, b * factor, c * factor, d * factor]),
  };
}
