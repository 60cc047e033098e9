import { parentPort, workerData } from 'node:worker_threads';
import { exportsOf } from './run.js';

parentPort.postMessage(await exportsOf(workerData.code).work(workerData.input));
