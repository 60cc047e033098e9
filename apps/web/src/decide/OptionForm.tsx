import { t } from '@patient-badger/wording/decide';
import { t as shared } from '@patient-badger/wording/shared';
import type { UseUnit } from '@patient-badger/core';
import type { OptionDraft } from './decision.ts';
import { useState } from 'react';
import { useRecord } from '../data/useRecord.ts';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Figures } from '../design/Figures.tsx';
import { FormFoot } from '../design/FormFoot.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { distanceUnit } from '../preferences/preferences.ts';
import { keptAmount, shownAmount, unitWord } from '../wording/distance.ts';
import { OPTION_WORDS } from '../wording/optionWords.ts';
import { readOption, typedOption, type TypedOption } from './readOption.ts';

interface Props {
  readonly jobId: string;
  readonly draft: OptionDraft;
  readonly unit: UseUnit;
  readonly onDone: () => void;
}

/** Every figure of an option, changed by hand. */
export function OptionForm({ jobId, draft, unit, onDone }: Props) {
  const { write, problem } = useRecord(jobId);
  const distance = distanceUnit.use();
  const [typed, setTyped] = useState(() => typedOption({ ...draft, lifeMean: shownAmount(draft.lifeMean, unit, distance) }));
  // The life in the field is counted in what the use was counted in when the form was opened.
  const [lifeUnit] = useState(unit);
  const [problems, setProblems] = useState<Readonly<Partial<Record<keyof TypedOption, string>>>>({});
  const keep = async () => {
    const read = readOption(draft, typed);
    if ('problems' in read) return setProblems(read.problems);
    const { kind: optionKind, lifeMean, isGuidePrice: _, isSentence: __, unasked: ___, ...rest } = read.option;
    if (await write({ kind: 'optionKept', optionKind, lifeUnit, lifeMean: keptAmount(lifeMean, lifeUnit, distance), ...rest })) onDone();
  };
  const change = (more: Partial<TypedOption>) => setTyped({ ...typed, ...more });
  const words = (name: 'name' | 'leaves', label: string) => (
    <Field
      label={label}
      value={typed[name]}
      onChangeText={(text) => change({ [name]: text })}
      problem={problems[name]}
      testID={optionField(name)}
    />
  );
  return (
    <Card tone="next">
      <Text variant="head">{OPTION_WORDS[draft.kind]}</Text>
      {words('name', shared.whatItIs)}
      <Figures
        typed={typed}
        fields={[
          ['parts', t.partsOrItsPrice],
          ['minutes', t.minutesOfWork],
          ['leadDays', t.daysToWait],
          ['downtime', t.daysTheOwnerIsWithout],
          ['life', t.howLongItLasts(unitWord(lifeUnit, distance))],
          ['comeBack', t.comesBackOfAHundred],
        ]}
        onChange={change}
        problems={problems}
        testID={optionField}
      />
      {words('leaves', t.whatItLeavesUndone)}
      <Text variant="soft">{t.livesAndComeBacksAre}</Text>
      <Problem text={problem} />
      <FormFoot label={shared.keepIt} testID="keep-option" onKeep={() => void keep()} onClose={onDone} />
    </Card>
  );
}

const optionField = (name: string) => `opt-${name}`;
