import { Loaded } from "~/ui/layout/Loading";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { RunFileButton } from "./RunFileButton";
import { RunRecord } from "./RunRecord";
import { useLoggedRun } from "./useLoggedRun";

/** One run by itself. */
export function LogRunScreen({ id }: { id: string }) {
  const { run, sent, query } = useLoggedRun(id);
  return run ? (
    <Screen title={run.title} over={run.athleteName} back="/log">
      <RunRecord run={run} sent={sent} />
      <RunFileButton run={run} />
    </Screen>
  ) : (
    <Screen title={words.log} back="/log">
      <Loaded query={query}>{() => null}</Loaded>
    </Screen>
  );
}
