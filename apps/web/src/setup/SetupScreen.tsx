import { t } from '@patient-badger/wording/setup';
import { t as shared } from '@patient-badger/wording/shared';
import { openSettings, workOfJob } from '@patient-badger/core/job';
import type { Pack, Setting, SettingTarget } from '@patient-badger/core/machine';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { View } from 'react-native';
import { useShop } from '../data/shop.ts';
import { useRecord } from '../data/useRecord.ts';
import { Desk } from '../desk/Desk.tsx';
import type { DeskSpec } from '../desk/DeskSpec.ts';
import { Button } from '../design/Button.tsx';
import { Card } from '../design/Card.tsx';
import { Problem } from '../design/Problem.tsx';
import { Text } from '../design/Text.tsx';
import { JobFrame } from '../job/JobFrame.tsx';
import type { JobView } from '../job/JobView.ts';
import { TakeBack } from '../log/TakeBack.tsx';
import { settingText } from '../wording/settingText.ts';
import { limitText } from '../wording/limitText.ts';
import { BACKLASH } from './desks/backlash.ts';
import { DONE, ONE_WAY, SEAL } from './desks/done.ts';
import { ECCENTRIC } from './desks/eccentric.ts';
import { FILL } from './desks/fill.ts';
import { RIM_PLAY } from './desks/rimPlay.ts';
import type { Setup } from './desks/setup.ts';
import { SHIMS } from './desks/shims.ts';
import { STAND_OFF } from './desks/standOff.ts';
import { TIMING } from './desks/timing.ts';
import { TORQUE } from './desks/torque.ts';

const DESKS: Readonly<Record<Setting, readonly [name: string, spec: DeskSpec<Setup>]>> = {
  shims: [t.endFloatShims, SHIMS],
  standOff: [t.standOff, STAND_OFF],
  eccentric: [t.eccentricSleeve, ECCENTRIC],
  backlash: [t.backlash, BACKLASH],
  rimPlay: [t.playAtTheRim, RIM_PLAY],
  timing: [t.twoSides, TIMING],
  oneWay: [t.oneWayClutch, ONE_WAY],
  seal: [t.lipSeal, SEAL],
  lock: [t.lock, DONE],
  torque: [shared.torque, TORQUE],
  fill: [t.oilAndGrease, FILL],
  afterwards: [t.afterwards, DONE],
};
/** What a family asks for only where it says what exactly. */
const ROWS_ONLY: ReadonlySet<Setting> = new Set(['lock', 'afterwards']);

/** Setting up in the family's right order, each thing at its own desk; and every desk besides, for what the family does not foresee. */
export const SetupScreen = () => (
  <JobFrame stage="close" back={(id) => `/jobs/${id}/close`}>
    {(view) => <SettingUp view={view} />}
  </JobFrame>
);

function SettingUp({ view }: { view: JobView }) {
  const { job, pack, state } = view;
  const { write, problem } = useRecord(job.id);
  const open = openSettings(pack, state);
  const { settings } = workOfJob(pack, state);
  const [chosen, setChosen] = useState<string | null>(null);
  const [other, setOther] = useState<Setting | null>(null);
  const opened = other === null ? (chosen ?? open[0]?.id) : null;
  const torqueUnit = useShop().data?.torqueUnit;
  const keep =
    (setting: Setting, row?: SettingTarget) =>
    async ({ figures, source }: Setup) => {
      // What could not be written stays open, with why; else the next one that is open comes by itself.
      if (await write({ kind: 'settingMade', setting, figures, ...(source && { source }), ...(row && { wanted: row.id }) }))
        setChosen(null);
    };
  return (
    <>
      <Text variant="title">{shared.setUp}</Text>
      <Text variant="soft">{t.inThisOrderTheMakers}</Text>
      {settings.map((row, i) => {
        const done = !open.includes(row);
        return (
          <View key={row.id} className="gap-2" testID={`setting-${row.id}`}>
            <Button
              label={`${i + 1}. ${row.name}${done ? t.set : ''}`}
              detail={t.at(placeName(pack, row.at))}
              variant={row.id === opened ? 'chosen' : 'plain'}
              testID={`open-${row.id}`}
              onPress={() => {
                setOther(null);
                setChosen(row.id);
              }}
            />
            {row.id === opened ? (
              <>
                <Text>{row.how}</Text>
                {row.wanted ? (
                  <Text variant="soft">
                    {limitText(row.wanted)} {row.wanted.unit} ({row.wanted.source})
                  </Text>
                ) : null}
                <Desk spec={DESKS[row.desk][1]} context={{ view, row, torqueUnit }} onWrite={(set) => void keep(row.desk, row)(set)} />
              </>
            ) : null}
          </View>
        );
      })}
      <Text variant="head">{pack.settings.length > 0 ? t.anotherDesk : t.desks}</Text>
      <View className="flex-row flex-wrap gap-2" role="radiogroup" aria-label={t.whatIsSet}>
        {(Object.keys(DESKS) as Setting[])
          .filter((id) => !ROWS_ONLY.has(id))
          .map((id) => (
            <Button
              key={id}
              label={DESKS[id][0]}
              variant={id === other ? 'chosen' : 'plain'}
              checked={id === other}
              onPress={() => setOther(id)}
            />
          ))}
      </View>
      {other === null ? null : (
        <Desk key={other} spec={DESKS[other][1]} context={{ view, torqueUnit }} onWrite={(set) => void keep(other)(set)} />
      )}
      <Problem text={problem} />
      {state.settings.length > 0 ? (
        <Card testID="settings">
          <Text variant="head">{t.setSoFar}</Text>
          {state.settings.map(({ at, figures, source }) => (
            <Text key={at}>
              {format(parseISO(at), 'd MMM HH:mm')}: {settingText({ figures, source })}
            </Text>
          ))}
        </Card>
      ) : null}
      <TakeBack view={view} kinds={['sleeveTried', 'settingMade']} />
    </>
  );
}

/** What the drive line calls a place. */
const placeName = ({ driveline: { bodies, joints }, auxiliaries }: Pack, at: string): string =>
  ([...bodies, ...joints, ...auxiliaries].find(({ id }) => id === at)?.name ?? at).toLowerCase();
