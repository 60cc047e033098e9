// First what is kept and asked for, then the router: its first drawing finds both there.
import { askEarly } from './src/data/DataProvider.tsx';
import { registerOfflineWorker } from './src/data/offline.ts';
import 'expo-router/entry';

askEarly();
registerOfflineWorker();
