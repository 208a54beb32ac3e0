import { parentPort } from 'node:worker_threads';
import { breedingValues, type BreedingQuestion } from '@yaylak/core';

// A thread of its own: solving for a large herd takes seconds, in which nobody else would be answered.
parentPort?.on('message', (question: BreedingQuestion) => {
  parentPort?.postMessage(breedingValues(question));
});
