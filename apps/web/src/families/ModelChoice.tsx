import { t as shared } from '@patient-badger/wording/shared';
import type { MachineModel } from '@patient-badger/contract';
import { View } from 'react-native';
import { Button } from '../design/Button.tsx';

interface Props {
  readonly models: readonly MachineModel[];
  readonly chosen: string | null | undefined;
  readonly detailOf: (model: MachineModel) => string | undefined;
  readonly onChoose: (id: string | null) => void;
}

/** The models of a family; pressing the chosen one again leaves it open. */
export const ModelChoice = ({ models, chosen, detailOf, onChoose }: Props) => (
  <View role="radiogroup" aria-label={shared.model} className="gap-2">
    {models.map((model) => (
      <Button
        key={model.id}
        label={`${model.maker} ${model.code}`}
        detail={detailOf(model)}
        variant={chosen === model.id ? 'chosen' : 'plain'}
        checked={chosen === model.id}
        onPress={() => onChoose(chosen === model.id ? null : model.id)}
      />
    ))}
  </View>
);
