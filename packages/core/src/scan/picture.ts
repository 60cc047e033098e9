/** A picture in memory: four bytes a pixel, row by row from the top left. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray | Uint8Array;
}

/** A picture made smaller: red, green and blue as numbers, and how many pixels of the photo one of its own covers. */
export interface Plate {
  readonly width: number;
  readonly height: number;
  readonly rgb: Float32Array;
  readonly factor: number;
}

/** Means over whole squares of pixels, so that the longer side comes below `most` pixels or nearly. One pass. */
export function shrink({ width, height, rgba }: Picture, most: number): Plate {
  const factor = Math.max(1, Math.round(Math.max(width, height) / most));
  const [w, h] = [Math.floor(width / factor), Math.floor(height / factor)];
  const rgb = new Float32Array(w * h * 3);
  const share = 1 / (factor * factor);
  for (let y = 0; y < h * factor; y++) {
    const row = Math.floor(y / factor) * w;
    let from = y * width * 4;
    for (let x = 0; x < w; x++) {
      let [red, green, blue] = [0, 0, 0];
      for (let i = 0; i < factor; i++, from += 4) {
        red += rgba[from] as number;
        green += rgba[from + 1] as number;
        blue += rgba[from + 2] as number;
      }
      const to = 3 * (row + x);
      rgb[to] = (rgb[to] as number) + red * share;
      rgb[to + 1] = (rgb[to + 1] as number) + green * share;
      rgb[to + 2] = (rgb[to + 2] as number) + blue * share;
    }
  }
  return { width: w, height: h, rgb, factor };
}

/** A plate made smaller again by a whole factor. */
export function shrinkPlate(plate: Plate, most: number): Plate {
  const by = Math.max(1, Math.round(Math.max(plate.width, plate.height) / most));
  const [w, h] = [Math.floor(plate.width / by), Math.floor(plate.height / by)];
  const rgb = new Float32Array(w * h * 3);
  const share = 1 / (by * by);
  for (let y = 0; y < h * by; y++) {
    for (let x = 0; x < w * by; x++) {
      const to = 3 * (Math.floor(y / by) * w + Math.floor(x / by));
      const from = 3 * (y * plate.width + x);
      for (let c = 0; c < 3; c++) rgb[to + c] = (rgb[to + c] as number) + (plate.rgb[from + c] as number) * share;
    }
  }
  return { width: w, height: h, rgb, factor: plate.factor * by };
}
