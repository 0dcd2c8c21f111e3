import { parentPort } from 'node:worker_threads';
import { answerTo, type Asked } from './work';

/** A thread of the pool: works out one answer after the other, beside the server's own thread. */
parentPort?.on('message', (asked: Asked) => parentPort?.postMessage(answerTo(asked)));
