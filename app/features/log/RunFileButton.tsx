import { runFileText } from "@tonodrome/core/run-file";
import { saveFile } from "~/data/device/saveFile";
import { Button } from "~/ui/Button";
import type { Logged } from "./RunRecord";

/** A run as a file of its own, with every press of it. */
export function RunFileButton({ run }: { run: Logged }) {
  const { athleteName, title, venue, zone, plan, events } = run;
  const save = () =>
    saveFile(
      `${athleteName}, ${title}.json`,
      "application/json",
      runFileText({ athlete: athleteName, title, venue, zone, startsAt: plan.startsAt, plan, events }),
    );
  return <Button label="Run file" onPress={save} />;
}
