import { zodResolver } from '@hookform/resolvers/zod';
import { firstShop, PASSPHRASE_LEAST } from '@patient-badger/contract';
import { useState } from 'react';
import { Controller, useForm, useWatch, type FieldPath } from 'react-hook-form';
import type { TextInputProps } from 'react-native';
import type { z } from 'zod';
import { call } from '../data/api.ts';
import { choosePerson } from '../data/person.ts';
import { standingReader, takeStanding } from '../data/standing.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Field } from '../design/Field.tsx';
import { Segments } from '../design/Segments.tsx';
import { Text } from '../design/Text.tsx';
import { UnitFields } from '../people/UnitFields.tsx';
import { rateOf } from '../people/rate.ts';
import { DoorScreen } from './DoorScreen.tsx';
import { useDeviceName } from '../shell/SignInForm.tsx';
import { messageOf } from '../wording/messageOf.ts';

type Form = z.input<typeof firstShop>;

/** The code stands in the address that the start of the server prints. */
const codeInAddress = () => new URLSearchParams(globalThis.location?.search ?? '').get('code') ?? '';

/** The first visit: the shop, its owner, its units, and whether there shall be something to try out. */
export function FirstVisitScreen() {
  const device = useDeviceName();
  const [problem, setProblem] = useState<string | null>(null);
  const [rate, setRate] = useState('');
  const [code] = useState(codeInAddress);
  const { control, handleSubmit, setValue } = useForm<Form, unknown, z.output<typeof firstShop>>({
    resolver: zodResolver(firstShop),
    defaultValues: {
      code,
      shop: { name: '', currency: '', lengthUnit: 'mm', distanceUnit: 'km', torqueUnit: 'N·m', rateMinor: 0 },
      owner: { name: '', passphrase: '' },
      withSampleParts: false,
      device,
    },
  });
  const [units, withSampleParts] = useWatch({ control, name: ['shop', 'withSampleParts'] });
  const begin = handleSubmit(
    async (draft) => {
      const rateMinor = rateOf(rate);
      if (rateMinor === null) return setProblem('The rate per hour is a figure, such as 54 or 54.50.');
      try {
        const next = await call('/api/first-shop', standingReader, {
          json: { ...draft, shop: { ...draft.shop, rateMinor } },
          person: null,
        });
        choosePerson(next.person);
        takeStanding(next);
        globalThis.history?.replaceState(null, '', '/');
      } catch (error) {
        setProblem(messageOf(error));
      }
    },
    () => setProblem('Something is still missing above: it says what beside each field.'),
  );
  const text = (name: FieldPath<Form>, label: string, rest: TextInputProps & { example?: string } = {}) => (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, onBlur }, fieldState: { error } }) => (
        <Field label={label} value={String(value)} onChangeText={onChange} onBlur={onBlur} problem={error?.message} {...rest} />
      )}
    />
  );
  return (
    <DoorScreen title="A shop moves in" under="Asked once. All of it can be changed later by an owner.">
      {code === '' ? (
        <Card tone="next">
          {text('code', 'Code that the start of the server has printed', { autoCapitalize: 'none' })}
          <Text variant="soft">So that nobody else on the network can be first.</Text>
        </Card>
      ) : null}
      <Card>
        <Text variant="head">The shop</Text>
        {text('shop.name', 'Name of the shop', { maxLength: 80 })}
        {text('shop.currency', 'Currency, three letters', { maxLength: 3, autoCapitalize: 'characters', example: 'EUR' })}
        <Field label="Rate per hour" value={rate} onChangeText={setRate} inputMode="decimal" example="54" />
      </Card>
      <Card>
        <Text variant="head">Units</Text>
        <UnitFields value={units} onChange={(change) => setValue('shop', { ...units, ...change })} />
      </Card>
      <Card>
        <Text variant="head">You, the owner</Text>
        {text('owner.name', 'Your name', { autoComplete: 'username', maxLength: 60 })}
        {text('owner.passphrase', 'A passphrase', { secureTextEntry: true, autoComplete: 'new-password', maxLength: 128 })}
        <Text variant="soft">
          At least {PASSPHRASE_LEAST} letters: a few words that have nothing to do with the shop or with each other. Write it down and lock
          it away.
        </Text>
      </Card>
      <Card>
        <Text variant="head">Something to try the searches with</Text>
        <Text>Parts of made-up makers in the catalogue. They can be taken out again.</Text>
        <Segments
          label="Sample parts"
          options={[
            ['no', 'An empty catalogue'],
            ['yes', 'Made-up parts'],
          ]}
          value={withSampleParts ? 'yes' : 'no'}
          onChange={(chosen) => setValue('withSampleParts', chosen === 'yes')}
        />
      </Card>
      {problem ? (
        <Text variant="danger" role="alert">
          {problem}
        </Text>
      ) : null}
      <Button variant="primary" big label="Open the shop" testID="open-shop" onPress={() => void begin()} />
    </DoorScreen>
  );
}
