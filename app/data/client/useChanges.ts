import type { Change } from "@tonodrome/core/api";
import { useEffect } from "react";
import { useStable } from "~/ui/hooks/useStable";
import { followChanges } from "./changes";

/** Listens to a stream of changes for as long as something is drawn. */
export function useChanges(path: string, onChange: (change: Change) => void, onMissed: () => void): void {
  const change = useStable(onChange);
  const missed = useStable(onMissed);
  useEffect(() => followChanges(path, change, missed), [path, change, missed]);
}
