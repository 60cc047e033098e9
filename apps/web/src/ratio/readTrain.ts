type Stage = { readonly driverTeeth: number; readonly drivenTeeth: number } | { readonly starts: number; readonly drivenTeeth: number };

/** A train as one writes it. @example readTrain('10:40 1w:30') // two stages, the second a worm of one start; null where it cannot be read */
export function readTrain(text: string): readonly Stage[] | null {
  const parts = text.split(/[\s,]+/).filter(Boolean);
  const stages = parts.map((part): Stage | null => {
    const [, driver, worm, driven] = /^(\d{1,4})(w?)[:/](\d{1,4})$/i.exec(part) ?? [];
    if (!driver || !driven) return null;
    return worm ? { starts: Number(driver), drivenTeeth: Number(driven) } : { driverTeeth: Number(driver), drivenTeeth: Number(driven) };
  });
  return stages.length === 0 || stages.includes(null) ? null : (stages as readonly Stage[]);
}
