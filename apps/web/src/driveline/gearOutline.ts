export interface GearOutlineOptions {
  readonly teeth: number;
  readonly tip: number;
  readonly root: number;
  readonly centre: number;
}
/**
 * A toothed outline for a sign on the drive line: straight flanks, no involute. Gear cards, where
 * the numbers count, are drawn from the computed geometry instead.
 */
export function gearOutline({ teeth, tip, root, centre }: GearOutlineOptions): string {
  const points: string[] = [];
  const step = (2 * Math.PI) / teeth;
  for (let i = 0; i < teeth; i++) {
    const at = i * step - Math.PI / 2;
    for (const [radius, share] of [
      [root, -0.34],
      [tip, -0.16],
      [tip, 0.16],
      [root, 0.34],
    ] as const) {
      const angle = at + share * step;
      points.push(`${(centre + radius * Math.cos(angle)).toFixed(2)},${(centre + radius * Math.sin(angle)).toFixed(2)}`);
    }
  }
  return `M${points.join('L')}Z`;
}
