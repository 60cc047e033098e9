import type { FaultMode, MotionOutput, Pack, TraceOutput } from '@patient-badger/core/machine';
import { type ReactNode } from 'react';
import { type Colours } from '../design/useColours.ts';

/** A chain in motion: what each body does, and the angle it has turned to. */
export interface Chain {
  readonly output: MotionOutput;
  readonly angles: Readonly<Record<string, number>>;
  /** Where the fault sits, and how it shows. */
  readonly fault?: { readonly joint: string; readonly mode: FaultMode } | undefined;
}

/** How far a joint is loaded. */
export interface JointLoad {
  readonly words: readonly { readonly text: string; readonly marked?: boolean }[];
  /** Of the width of the bar; none where what it bears is not known. */
  readonly share?: number | undefined;
  /** It goes first, now or after a change. */
  readonly isFuse: boolean;
}

export interface DriveLineProps {
  readonly pack: Pack;
  /** Tracing appearance: how much suspicion each place carries, and where the next look is. */
  readonly trace?: TraceOutput | undefined;
  /** How deep each place lies: opening steps still to do, by place. */
  readonly depth?: Readonly<Record<string, number>> | undefined;
  /** In motion: the sound chain, and beside it the one with the fault. */
  readonly chains?: readonly Chain[] | undefined;
  /** Loaded: what each joint carries of what it bears. */
  readonly loads?: Readonly<Record<string, JointLoad>> | undefined;
  /** The places that can be pressed; all where it is not said. */
  readonly pressable?: readonly string[] | undefined;
  readonly onPlace?: ((place: string) => void) | undefined;
  /** What lies open below one place. */
  readonly opened?: { readonly place: string; readonly content: ReactNode } | undefined;
}

export interface Appearance extends DriveLineProps {
  readonly colours: Colours;
  readonly nextAt: string | undefined;
  readonly suspectAt: string | undefined;
  readonly suspicion: Readonly<Record<string, number>>;
}
