import { identifyCylindrical, identifyInput, cylindricalDimensions, cylindricalInput } from '@patient-badger/core/gear';
import { cutOf, profileOf } from '../packages/core/src/gear/cylindrical/profile.ts';
import { measurableSpans } from '../packages/core/src/gear/cylindrical/span.ts';
import { gaussian, seeded } from '../packages/core/src/testing.ts';
const random = seeded(5);
let shown = 0;
for (let i = 0; i < 400 && shown < 8; i++) {
  const dp = [10, 12, 16, 20, 24, 32][Math.floor(random() * 6)] as number;
  const truth = { teeth: Math.round(14 + 56 * random()), normalModuleMm: 25.4 / dp, pressureAngleDeg: random() < 0.5 ? 20 : 14.5, profileShift: Math.max(-0.3, Math.min(0.6, 0.2 * gaussian(random))), toothThinningMm: 0.15 * random() };
  const g = (k?: number) => cylindricalDimensions(cylindricalInput.parse({ ...truth, spanTeeth: k }));
  const loss = 0.15 * random();
  const m: any = { tipDiameterMm: { value: g().tipDiameterMm - loss + 0.03 * gaussian(random), plusMinus: 0.03 }, spans: [] };
  const log: string[] = [];
  for (let r = 1; ; r++) {
    const { candidates, nextMeasurement: n } = identifyCylindrical(identifyInput.parse({ teeth: truth.teeth, measurements: m }));
    const c = candidates[0]!;
    log.push(`${c.system[0]}${c.size}/${c.pressureAngleDeg}:${c.probability.toFixed(2)} -> ${n?.quantity} ${n?.spanTeeth ?? ''} ${n?.expectedBits.toFixed(2)}`);
    if (!n || c.probability > 0.99 || r > 8) {
      const right = c.system === 'diametralPitch' && c.size === dp && c.pressureAngleDeg === truth.pressureAngleDeg;
      if (!right) { shown++; const cut = cutOf({ ...truth, helixAngleDeg: 0, addendumCoefficient: 1, dedendumCoefficient: 1.25 }); console.log(dp, JSON.stringify(truth), 'truly', measurableSpans(cut, profileOf(cut), { tipDiameterMm: m.tipDiameterMm.value, faceWidthMm: null }).join(), '\n  ', log.join('\n   '), candidates.slice(0, 3).map((x) => `${x.system[0]}${x.size}/${x.pressureAngleDeg}:${x.probability.toFixed(2)}`).join(' ')); }
      break;
    }
    if (n.quantity === 'spanMm') m.spans.push({ teeth: n.spanTeeth, spanMm: { value: g(n.spanTeeth).spanMm + 0.03 * gaussian(random), plusMinus: 0.03 } });
    else if (n.quantity === 'rootDiameterMm') m.rootDiameterMm = { value: g().rootDiameterMm + 0.03 * gaussian(random), plusMinus: 0.03 };
    else break;
  }
}
