import type { RunState } from "@tonodrome/core";
import { memo } from "react";
import type { KeptRun } from "~/data/runs/keptRun";
import { useFollowedStart } from "./useFollowedStart";

interface FollowedStartProps {
  kept: KeptRun;
  state: RunState;
}

const moves = ({ events }: KeptRun) => events.filter((e) => e.kind === "start-moved").length;

/** Keeps a run and its start together, as a part of its own: what moves no start and ends nothing is nothing to it. */
export const FollowedStart = memo(
  function FollowedStart({ kept, state }: FollowedStartProps) {
    useFollowedStart(kept, state);
    return null;
  },
  (a, b) =>
    a.kept.run === b.kept.run &&
    a.kept.heard === b.kept.heard &&
    a.state.status === b.state.status &&
    moves(a.kept) === moves(b.kept),
);
