import { parentPort, workerData } from "node:worker_threads";
import type { FitFile } from "@tonodrome/core/fitting";
import { checkAnswer, forecastAnswer } from "@tonodrome/core/judge-answers";

/* Judges one plan in a thread of its own: however long the fit takes, the server answers others meanwhile. */

const file = workerData as FitFile;
parentPort?.postMessage({ forecast: forecastAnswer(file), findings: checkAnswer(file) });
