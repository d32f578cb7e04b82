import { parentPort } from "node:worker_threads";
import { type Job, type JobAnswer, TASKS } from "./tasks";

/* Does one task after the other in a thread of its own: however long one takes, the server answers others meanwhile. */

parentPort?.on("message", ({ name, input }: Job) => {
  // Its time counts from here: loading this file is not the job's delay.
  parentPort?.postMessage({ begun: true } satisfies JobAnswer);
  let answer: JobAnswer;
  try {
    answer = { answer: TASKS[name](input as never) };
  } catch (error) {
    answer = { failed: { name: (error as Error).name, message: (error as Error).message } };
  }
  parentPort?.postMessage(answer);
});
