import { checkPack, packSchema, type Pack } from '@patient-badger/core/machine';
import augerGearbox from './families/auger-gearbox.json' with { type: 'json' };
import constantMeshGearbox from './families/constant-mesh-gearbox.json' with { type: 'json' };
import dashOdometerCable from './families/dash-odometer-cable.json' with { type: 'json' };
import dashOdometerMotor from './families/dash-odometer-motor.json' with { type: 'json' };
import foldActuator from './families/fold-actuator.json' with { type: 'json' };
import gardenTransaxle from './families/garden-transaxle.json' with { type: 'json' };
import hydroFinalDrive from './families/hydro-final-drive.json' with { type: 'json' };
import midDriveMotor from './families/mid-drive-motor.json' with { type: 'json' };
import parkBrakeActuator from './families/park-brake-actuator.json' with { type: 'json' };
import sawChainTensioner from './families/saw-chain-tensioner.json' with { type: 'json' };
import sawOilPump from './families/saw-oil-pump.json' with { type: 'json' };
import sectorSteering from './families/sector-steering.json' with { type: 'json' };
import slideRackDrive from './families/slide-rack-drive.json' with { type: 'json' };
import speedometerTakeoff from './families/speedometer-takeoff.json' with { type: 'json' };
import trimmerBevelHead from './families/trimmer-bevel-head.json' with { type: 'json' };
import walkDriveGearbox from './families/walk-drive-gearbox.json' with { type: 'json' };
import wormSteeringBox from './families/worm-steering-box.json' with { type: 'json' };

const FILES = [
  sawOilPump,
  sawChainTensioner,
  dashOdometerMotor,
  dashOdometerCable,
  speedometerTakeoff,
  foldActuator,
  parkBrakeActuator,
  slideRackDrive,
  midDriveMotor,
  constantMeshGearbox,
  wormSteeringBox,
  sectorSteering,
  walkDriveGearbox,
  gardenTransaxle,
  hydroFinalDrive,
  augerGearbox,
  trimmerBevelHead,
];

/** What lists show of a family: each by its own rule, whatever the rest of the file is. */
const HEAD = ['id', 'name', 'summary', 'safetyCritical'] as const satisfies readonly (keyof Pack)[];

/**
 * A family as its file says it, read and checked when more than its head is asked for: a phone that lists names does not
 * wait for all of them. A pack that does not hold together throws then; that none does is a test's to say.
 */
function onDemand(file: Readonly<Record<string, unknown>>): Pack {
  const { shape } = packSchema.out;
  let read: Pack | undefined;
  const whole = () => (read ??= checkPack(packSchema.parse(file)));
  const pack = Object.fromEntries(HEAD.map((key) => [key, shape[key].parse(file[key])]));
  for (const key of Object.keys(shape) as (keyof Pack)[]) {
    if (!(key in pack)) Object.defineProperty(pack, key, { enumerable: true, get: () => whole()[key] });
  }
  return pack as unknown as Pack;
}

/** Every family that ships with the app. */
export const FAMILIES: readonly Pack[] = FILES.map(onDemand);

export const familyIds = (): readonly string[] => FAMILIES.map(({ id }) => id);

/** The family with this id; undefined where the app ships none. */
export const findFamily = (id: string): Pack | undefined => FAMILIES.find((family) => family.id === id);
