import { createHash } from 'node:crypto';
import { fromMm } from '@patient-badger/core';
import type { Picture } from '@patient-badger/core/gear';
import { standInDimension, standInLook, standInPhoto, standInPlay, standInSpeed } from '@patient-badger/core/practice';
import type { InstrumentAnswer, instrumentQuestion } from '@patient-badger/contract';
import { PNG } from 'pngjs';
import type { DataSource } from 'typeorm';
import type { z } from 'zod';
import { packOfJob } from '../machines/packs.ts';
import { ServerProblem } from '../problems.ts';
import { machines } from '../machines/entities.ts';
import { jobs } from '../jobs/entities.ts';

/**
 * Reads a stand-in for an instrument at the made-up machine of a job. What the machine has is the same
 * at every reading; noise, and whether the connection holds, differ with the attempt.
 */
export async function readStandIn(
  dataSource: DataSource,
  shopId: string,
  asked: z.output<typeof instrumentQuestion>,
): Promise<InstrumentAnswer> {
  const { manager } = dataSource;
  const job = await manager.findOneBy(jobs, { id: asked.jobId, shopId });
  if (!job) throw new ServerProblem('unknownJob', { path: 'jobId' });
  const machine = await manager.findOneBy(machines, { id: job.machineId, shopId });
  if (!machine?.truth) throw new ServerProblem('noInstrument');
  const pack = await packOfJob(manager, job);
  const { truth } = machine;
  const about = `${machine.id}/${asked.instrument}/${asked.look ?? (asked.play ? 'play' : `${asked.gear}/${asked.quantity}`)}`;
  const question = {
    pack,
    truth,
    kind: asked.instrument,
    zeroed: asked.zeroed,
    machine: chance(about),
    moment: chance(`${about}/${job.id}/${asked.attempt}`),
  };

  if (asked.instrument === 'camera') {
    return { picture: pictureOf(unlessLost(standInPhoto(question))) };
  }
  if (asked.gear !== undefined && asked.quantity !== undefined) {
    const trueMm = truth.gears?.[asked.gear]?.[asked.quantity];
    if (trueMm === undefined) throw new ServerProblem('noInstrument', { path: 'quantity' });
    const reading = unlessLost(standInDimension(question, trueMm));
    return { reading: asked.unit === 'in' ? inInches(reading) : reading };
  }
  if (asked.play) return { reading: unlessLost(standInPlay(question, asked.play.sleeveDeg)) };
  if (asked.speed !== undefined) {
    const errorPercent = await errorNow(dataSource, job.id);
    return { reading: unlessLost(standInSpeed(question, { shown: asked.speed, errorPercent })) };
  }
  const look = pack.looks.find(({ id }) => id === asked.look);
  if (!look) throw new ServerProblem('invalidInput', { path: 'look' });
  return { reading: unlessLost(standInLook(question, look)) };
}

function unlessLost<T>(shown: T | null): T {
  if (shown === null) throw new ServerProblem('instrumentLost');
  return shown;
}

/** How far off the made-up machine reads now: as was reckoned where gears were chosen for it, else a little high as needles are. */
async function errorNow(dataSource: DataSource, jobId: string): Promise<number> {
  const [row] = await dataSource.query<{ percent: number }[]>(
    `SELECT (payload->>'readingErrorPercent')::float8 AS percent FROM entries WHERE job_id = $1 AND payload->>'kind' = 'ratioChosen' ORDER BY seq DESC LIMIT 1`,
    [jobId],
  );
  return row?.percent ?? USUAL_ERROR;
}

/** A needle shows a little too much, percent. */
const USUAL_ERROR = 2;

type Reading = NonNullable<InstrumentAnswer['reading']>;
const inInches = ({ value, plusMinus = 0, atRest, ...rest }: Reading): Reading => ({
  ...rest,
  unit: 'in',
  value: Number(fromMm(value, 'inch').toFixed(4)),
  plusMinus: fromMm(plusMinus, 'inch'),
  ...(atRest !== undefined && { atRest: Number(fromMm(atRest, 'inch').toFixed(4)) }),
});

const pictureOf = ({ width, height, rgba }: Picture): string => {
  const png = new PNG({ width, height });
  png.data = Buffer.from(rgba.buffer, rgba.byteOffset, rgba.byteLength);
  return `data:image/png;base64,${PNG.sync.write(png).toString('base64')}`;
};

/** Chance that is the same for the same words: each number is read off a hash of the words and its position. */
function chance(words: string): () => number {
  let drawn = 0;
  return () => createHash('sha256').update(`${words}/${drawn++}`).digest().readUInt32BE(0) / 2 ** 32;
}
