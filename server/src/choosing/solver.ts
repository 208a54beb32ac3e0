import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { breedingValues, type BreedingAnswer, type BreedingQuestion } from '@yaylak/core';

const WORKER = join(__dirname, 'breedingWorker.js');

/**
 * Works breeding values in a thread beside the server's own, one question after another. The thread begins with the
 * first question and does not keep the process alive. Where only the source stands, as in unit tests, there is no file
 * for a thread to run, and the question is worked here.
 */
export class Solver {
  private worker: Worker | undefined;
  private last: Promise<unknown> = Promise.resolve();

  ask(question: BreedingQuestion): Promise<BreedingAnswer> {
    const answer = this.last.then(() => this.solve(question));
    this.last = answer.catch(() => undefined);
    return answer;
  }

  async close(): Promise<void> {
    await this.worker?.terminate();
    this.worker = undefined;
  }

  private solve(question: BreedingQuestion): Promise<BreedingAnswer> {
    if (!existsSync(WORKER)) return Promise.resolve(breedingValues(question));
    const worker = (this.worker ??= this.begin());
    return new Promise((resolve, reject) => {
      const settle = (): void => {
        worker.off('message', answered);
        worker.off('error', failed);
        worker.off('exit', gone);
      };
      const answered = (answer: BreedingAnswer): void => {
        settle();
        resolve(answer);
      };
      const failed = (error: Error): void => {
        settle();
        this.worker = undefined;
        reject(error);
      };
      const gone = (): void => failed(new Error('the thread that works breeding values has ended'));
      worker.on('message', answered);
      worker.on('error', failed);
      worker.on('exit', gone);
      worker.postMessage(question);
    });
  }

  private begin(): Worker {
    const worker = new Worker(WORKER);
    worker.unref();
    return worker;
  }
}
