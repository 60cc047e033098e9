import { View } from 'react-native';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Text } from '../design/Text.tsx';
import { choosePerson, usePerson } from '../data/person.ts';
import { useShop } from '../data/shop.ts';

/** Every note says who wrote it, so that comes first; gone once somebody is chosen. */
export function WhoFirst() {
  const person = usePerson();
  const shop = useShop().data;
  if (person || !shop) return null;
  return (
    <Card tone="next">
      <Text variant="head">Who is at the bench?</Text>
      <View className="flex-row flex-wrap gap-2">
        {shop.people.map(({ id, name }) => (
          <Button key={id} big className="min-w-[96px] flex-1" label={name} onPress={() => choosePerson(id)} />
        ))}
      </View>
    </Card>
  );
}
