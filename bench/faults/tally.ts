export interface Tally {
  rounds: number;
  written: number;
  lost: number;
  doubled: number;
  stuck: number;
  /** Under a name whose PIN was not given for it. */
  forged: number;
  crashes: number;
}

export interface Campaign {
  readonly rounds: number;
  readonly database: {
    readonly start: () => Promise<string>;
    readonly crash: () => Promise<string>;
    /** Its disk takes nothing more, until it is freed. */
    readonly fill: () => Promise<string>;
    readonly free: () => Promise<string>;
  };
}

export const newTally = (): Tally => ({ rounds: 0, written: 0, lost: 0, doubled: 0, stuck: 0, forged: 0, crashes: 0 });
export const total = ({ lost, doubled, stuck, forged, crashes }: Tally) => lost + doubled + stuck + forged + crashes;
export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Tries until it works; what does not work in this time is stuck. */
export async function until(works: () => Promise<boolean>, ms: number): Promise<boolean> {
  for (const end = Date.now() + ms; Date.now() < end; await pause(150)) if (await works().catch(() => false)) return true;
  return false;
}
