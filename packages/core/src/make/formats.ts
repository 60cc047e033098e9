import Drawing from 'dxf-writer';
import { strToU8, zipSync } from 'fflate';
import { reachOf } from './polyline.ts';
import type { Corner, Solid } from './loft.ts';
import type { Face } from './solid.ts';

/** A tenth of a µm: more figures than any machine reads, and the file stays small. */
const figure = (value: number) => String(Number(value.toFixed(4)));

/** A flat drawing in millimetres: outline and hole as one path, so that the hole is none of the gear. */
export function toSvg({ outline, hole }: Face): Uint8Array {
  const rings = hole ? [outline, hole] : [outline];
  const reach = reachOf(outline).most + 1;
  // SVG's y goes down: the tooth that stands up shall do so on paper.
  const path = rings.map((ring) => `M${ring.map(([x, y]) => `${figure(x)} ${figure(-y)}`).join('L')}Z`).join('');
  const size = figure(2 * reach);
  const box = `${figure(-reach)} ${figure(-reach)} ${size} ${size}`;
  return strToU8(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size}mm" height="${size}mm" viewBox="${box}"><path d="${path}" fill="none" stroke="#000" stroke-width="0.1" fill-rule="evenodd"/></svg>\n`,
  );
}

/** A flat drawing in millimetres, each ring a closed polyline. */
export function toDxf({ outline, hole }: Face): Uint8Array {
  const drawing = new Drawing();
  drawing.setUnits('Millimeters');
  for (const ring of hole ? [outline, hole] : [outline])
    drawing.drawPolyline(
      ring.map(([x, y]) => [x, y] as [number, number]),
      true,
    );
  return strToU8(drawing.toDxfString());
}

/** Binary STL, millimetres by convention: 80 bytes of head, a count, and fifty bytes a triangle. */
export function toStl({ vertices, triangles }: Solid): Uint8Array {
  const bytes = new Uint8Array(84 + 50 * triangles.length);
  bytes.set(strToU8('Patient Badger, millimetres'), 0);
  const view = new DataView(bytes.buffer);
  view.setUint32(80, triangles.length, true);
  triangles.forEach((triangle, i) => {
    const corners = triangle.map((v) => vertices[v] ?? [0, 0, 0]) as [Corner, Corner, Corner];
    [normalOf(corners), ...corners].flat().forEach((value, k) => view.setFloat32(84 + 50 * i + 4 * k, value, true));
  });
  return bytes;
}

function normalOf([[ax, ay, az], [bx, by, bz], [cx, cy, cz]]: readonly [Corner, Corner, Corner]): Corner {
  const [ux, uy, uz, vx, vy, vz] = [bx - ax, by - ay, bz - az, cx - ax, cy - ay, cz - az];
  const normal = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx] as const;
  const length = Math.hypot(...normal) || 1;
  return [normal[0] / length, normal[1] / length, normal[2] / length];
}

const CONTENT_TYPES = `<?xml version="1.0" encoding="UTF-8"?>
<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>`;
const RELATIONSHIPS = `<?xml version="1.0" encoding="UTF-8"?>
<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>`;
/** The same gear gives the same file on any day. */
const NO_DAY = new Date(1980, 0, 2);

/** 3MF by its core specification: an OPC package with one mesh in millimetres. */
export function to3mf({ vertices, triangles }: Solid): Uint8Array {
  const mesh = [
    ...vertices.map(([x, y, z]) => `<vertex x="${figure(x)}" y="${figure(y)}" z="${figure(z)}"/>`),
    '</vertices><triangles>',
    ...triangles.map(([a, b, c]) => `<triangle v1="${a}" v2="${b}" v3="${c}"/>`),
  ].join('');
  const model = `<?xml version="1.0" encoding="UTF-8"?>
<model unit="millimeter" xml:lang="en-US" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources><object id="1" type="model"><mesh><vertices>${mesh}</triangles></mesh></object></resources><build><item objectid="1"/></build></model>`;
  return zipSync(
    { '[Content_Types].xml': strToU8(CONTENT_TYPES), '_rels/.rels': strToU8(RELATIONSHIPS), '3D/3dmodel.model': strToU8(model) },
    { mtime: NO_DAY },
  );
}

/** In every browser and in Node; the core knows neither. */
declare const btoa: (latin1: string) => string;

/** Bytes as base64, as they travel in an answer. */
export function toBase64(bytes: Uint8Array): string {
  // In pieces: an argument list has an end.
  let text = '';
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}
