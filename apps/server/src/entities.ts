import { shops, people } from './people/entities.ts';
import { machineModels, machines, families } from './machines/entities.ts';
import { jobs, entries } from './jobs/entities.ts';
import { photos } from './photos/entities.ts';
import { parts, listings, partLinks } from './parts/entities.ts';
import { shelf } from './shelf/entities.ts';
import { imports } from './imports/entities.ts';

export const ENTITIES = [
  shops,
  people,
  machineModels,
  machines,
  families,
  jobs,
  entries,
  photos,
  parts,
  listings,
  partLinks,
  shelf,
  imports,
];
