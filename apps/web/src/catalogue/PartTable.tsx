import { t } from '@patient-badger/wording/catalogue';
import { t as shared } from '@patient-badger/wording/shared';
import type { Part } from '@patient-badger/contract';
import { useVirtualizer } from '@tanstack/react-virtual';
import ArrowDown from 'lucide-react-native/icons/arrow-down';
import ArrowUp from 'lucide-react-native/icons/arrow-up';
import { useEffect, useRef } from 'react';
import { Pressable, View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { Text } from '../design/Text.tsx';
import { useColours } from '../design/useColours.ts';
import { COLUMNS, PartRow } from './PartRow.tsx';
import type { Order } from './useCatalogue.ts';

/** A guess, until a row has been measured. */
const ROW_PX = 58;
/** Rows kept ready above and below what is seen. */
const OVERSCAN = 12;

interface Props {
  readonly parts: readonly Part[];
  readonly wide: boolean;
  readonly chosen: ReadonlySet<string>;
  readonly onToggle: (id: string) => void;
  readonly order: Order;
  readonly down: boolean;
  readonly onOrder: (order: Order) => void;
  readonly more: boolean;
  readonly onMore: () => void;
}

/** The rows in sight and a few beside them, however many there are; more are asked for before the end is reached. */
export function PartTable({ parts, wide, chosen, onToggle, order, down, onOrder, more, onMore }: Props) {
  const currency = useShop().data?.currency ?? 'EUR';
  const frame = useRef<HTMLElement | null>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- no compiler memoizes this app
  const rows = useVirtualizer({
    count: parts.length,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_PX,
    getItemKey: (i) => parts[i]?.id ?? i,
    overscan: OVERSCAN,
  });
  const items = rows.getVirtualItems();
  const last = items.at(-1)?.index ?? 0;
  const near = more && last >= parts.length - OVERSCAN;
  useEffect(() => {
    if (near) onMore();
  }, [near, onMore]);
  // Another order or other words begin at the top again.
  const first = parts[0]?.id;
  useEffect(() => {
    frame.current?.scrollTo({ top: 0 });
  }, [first]);
  return (
    <View className="min-h-0 flex-1">
      {wide ? <Headings order={order} down={down} onOrder={onOrder} /> : null}
      <View
        ref={(node) => {
          frame.current = node as unknown as HTMLElement | null;
        }}
        aria-label={shared.parts}
        role="group"
        testID="catalogue"
        className="min-h-0 flex-1 overflow-auto"
      >
        <View style={{ height: rows.getTotalSize() }}>
          {items.map(({ key, index, start }) => {
            const part = parts[index];
            return part ? (
              <View
                key={key}
                ref={(node) => rows.measureElement(node as unknown as Element | null)}
                {...{ dataSet: { index } }}
                className="absolute left-0 w-full"
                style={{ top: start }}
              >
                <PartRow part={part} wide={wide} currency={currency} chosen={chosen.has(part.id)} onToggle={onToggle} />
              </View>
            ) : null;
          })}
        </View>
      </View>
    </View>
  );
}

function Headings({ order, down, onOrder }: Pick<Props, 'order' | 'down' | 'onOrder'>) {
  const way = down ? 'down' : 'up';
  const sorted = (name: Order, label: string, className: string) => (
    <Heading label={label} className={className} state={order === name ? way : null} onPress={() => onOrder(name)} />
  );
  return (
    <View className="flex-row items-center gap-3 border-b-2 border-line px-2">
      {sorted('partNumber', shared.part, 'min-w-0 flex-1 pl-9')}
      <Text variant="label" className={`${COLUMNS.figure} text-right`}>
        {shared.teeth}
      </Text>
      {sorted('size', shared.module, `${COLUMNS.figure} justify-end`)}
      {[shared.bore, shared.width].map((name) => (
        <Text key={name} variant="label" className={`${COLUMNS.figure} text-right`}>
          {name}
        </Text>
      ))}
      <Text variant="label" className={COLUMNS.supplier}>
        {t.supplier}
      </Text>
      <Text variant="label" className={`${COLUMNS.stock} text-right`}>
        {t.stock}
      </Text>
      {sorted('price', t.price2, `${COLUMNS.price} justify-end`)}
    </View>
  );
}

interface HeadingProps {
  readonly label: string;
  readonly className: string;
  readonly state: 'up' | 'down' | null;
  readonly onPress: () => void;
}

/** A heading that puts the rows in its order; pressed again, the other way round. */
function Heading({ label, className, state, onPress }: HeadingProps) {
  const colours = useColours();
  const Arrow = state === 'down' ? ArrowDown : ArrowUp;
  const said = { up: t.smallestFirst, down: t.largestFirst };
  return (
    <Pressable
      role="button"
      aria-label={t.orderByIt(label, state ? said[state] : '')}
      onPress={onPress}
      className={`min-h-[48px] flex-row items-center gap-1 active:opacity-70 ${className}`}
    >
      <Text variant="label" className="text-accent">
        {label}
      </Text>
      {state ? <Arrow size={16} color={colours.accent} /> : null}
    </Pressable>
  );
}
