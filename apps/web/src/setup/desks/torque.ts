import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { SHEET_TORQUE_UNITS, STRENGTH_CLASSES, type MaterialId } from '@patient-badger/core';
import { runOperation } from '../../data/runOperation.ts';
import type { DeskSpec } from '../../desk/DeskSpec.ts';
import { threeFigures } from '../../wording/threeFigures.ts';
import { setup, type Setup } from './setup.ts';

/** A torque off a sheet in the units of the wrench, with a cap where it goes into something soft. */
export const TORQUE: DeskSpec<Setup> = {
  id: 'torque',
  prefix: 'setup',
  notes: ({ view }) =>
    (view?.pack.steps ?? [])
      .flatMap(({ loose }) => loose)
      .filter(({ hand }) => hand === 'left')
      .map(({ name }) => ({ text: t.leftHandThreadItTightens(name), variant: 'danger' })),
  fields: [
    ['value', t.torqueOffTheSheet],
    { kind: 'choice', name: 'unit', label: shared.unit, options: SHEET_TORQUE_UNITS.map((unit) => [unit, unit] as const), start: 'N·m' },
    { kind: 'material', name: 'into', label: t.screwsInto, start: 'steel' },
    ['major', t.threadIn, 'mm'],
    ['pitch', t.pitchIn, 'mm'],
    ['engaged', t.deepInItIn, 'mm'],
    {
      kind: 'choice',
      name: 'class',
      label: t.strengthClass,
      options: [['', t.notSaid], ...STRENGTH_CLASSES.map((name) => [name, name] as const)],
    },
    { kind: 'text', name: 'source', label: shared.whoseFigureItIs },
  ],
  known: ({ torqueUnit }) => (torqueUnit ? { unit: torqueUnit } : {}),
  answer: (typed) => {
    const { value = NaN, major = NaN, pitch = NaN, engaged = NaN } = typed.figures;
    const unit = SHEET_TORQUE_UNITS.find((known) => known === typed.texts.unit);
    if (!(value > 0) || !unit) return null;
    const thread = major > 0 && pitch > 0 && engaged > 0 ? { majorMm: major, pitchMm: pitch, engagedMm: engaged } : undefined;
    const strengthClass = STRENGTH_CLASSES.find((name) => name === typed.texts.class);
    const worked = runOperation('setup.torque', {
      value,
      unit,
      ...(thread && { into: typed.texts.into as MaterialId, thread }),
      ...(strengthClass && { screw: { strengthClass } }),
    });
    if (!worked.ok) return { problem: worked.sentence };
    const { newtonMetres, footPounds, inchPounds, capNm, warnings } = worked.output;
    const isTooMuch = warnings.length > 0;
    return {
      lines: [
        {
          text: t.nMFtLbIn(threeFigures(newtonMetres), threeFigures(footPounds), threeFigures(inchPounds)),
          variant: 'strong',
          testID: 'torque-found',
        },
        ...(capNm === undefined
          ? []
          : [
              {
                text: t.aboutNMByIts(isTooMuch ? t.moreThanThisThreadBears : '', threeFigures(Number(capNm.toPrecision(2)))),
                variant: isTooMuch ? 'danger' : 'soft',
              } as const,
            ]),
        ...(thread && !strengthClass ? [{ text: t.whatTheScrewBearsIs, variant: 'soft' } as const] : []),
      ],
      entry: {
        label: t.itIsTight,
        testID: 'torque-set',
        wants: { source: t.sayWhoseFigureItIs },
        written: setup(typed, t.tightenedTo(value, unit)),
      },
    };
  },
};
