import type { FitFile } from "@tonodrome/core/fitting";
import { type Glance, quickGlanceOf } from "@tonodrome/core/judge";
import {
  checkAnswer,
  type FindingAnswer,
  type ForecastAnswer,
  forecastAnswer,
} from "@tonodrome/core/judge-answers";
import { compareList } from "@tonodrome/core/start-list";
import { compareShelf } from "@tonodrome/core/tables";

/** What a plan is judged to be. */
interface Judged {
  forecast: ForecastAnswer;
  findings: FindingAnswer[];
}

/** What may take more than a moment: it is done in a thread of its own, so that nobody else waits for it. */
export const TASKS = {
  judge: (file: FitFile): Judged => ({ forecast: forecastAnswer(file), findings: checkAnswer(file) }),
  glance: (of: Parameters<typeof quickGlanceOf>[0]): Glance | null => quickGlanceOf(of),
  compareList: (of: Parameters<typeof compareList>) => compareList(...of),
  compareShelf: (of: Parameters<typeof compareShelf>) => compareShelf(...of),
};

export type TaskName = keyof typeof TASKS;
export type TaskInput<Name extends TaskName> = Parameters<(typeof TASKS)[Name]>[0];
export type TaskAnswer<Name extends TaskName> = ReturnType<(typeof TASKS)[Name]>;

/** What is sent to a thread, and what comes back. */
export interface Job {
  name: TaskName;
  input: unknown;
}
export type JobAnswer = { begun: true } | { answer: unknown } | { failed: { name: string; message: string } };
