import { t } from '@patient-badger/wording/match';
import { operations } from '../data/operations.ts';
import type { Part, PartLink } from '@patient-badger/contract';
import { View } from 'react-native';
import { Text } from '../design/Text.tsx';
import { attributeName, differenceText } from '../wording/attributeWords.ts';

/** Parts that a sheet names in place of this one, each compared with it: a successor is a claim too. */
export function NamedInstead({ part }: { part: Part }) {
  if (part.links.length === 0) return null;
  return (
    <View className="gap-1 border-l-4 border-line pl-3">
      {part.links.map((link) => (
        <Text key={`${link.kind}/${link.partNumber}`} variant="soft">
          {link.kind === 'supersededBy' ? t.theSheetSaysReplacedBy : t.or} {link.partNumber}: {linkText(part, link)}
        </Text>
      ))}
    </View>
  );
}

/** What a caliper would say of it. */
export function linkText(part: Part, { part: other }: PartLink): string {
  if (!other) return t.notInTheCatalogue;
  const { verdict, differs, unknown } = operations.run('match.standsIn', { part: part.attributes, other: other.attributes });
  switch (verdict) {
    case 'same':
      return t.theSameByEveryDimension;
    case 'differs':
      return t.notTheSame(
        differs.map((each) => `${attributeName(each.name).toLowerCase()} ${differenceText(each) || 'another'}`).join(', '),
      );
    case 'notKnown':
      return t.theSameAsFarAs(unknown.map((name) => attributeName(name).toLowerCase()).join(', '));
  }
}
