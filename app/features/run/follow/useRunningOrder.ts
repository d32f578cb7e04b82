import type { OrderNews, RunState } from "@tonodrome/core";
import { useEffect, useState } from "react";
import type { KeptRun } from "~/data/runs/keptRun";
import { moveRun } from "~/data/runs/moveRun";

/** A running order that can be followed. A real one implements this too. */
export interface OrderSource {
  /**
   * Follows the order that a run's start stands in.
   * @returns what ends it
   */
  follow(run: KeptRun["run"], onNews: (news: OrderNews) => void): () => void;
}

/** A start that is to be expected by so much earlier or later has moved, milliseconds. */
const MOVED = 20_000;

/** Follows a running order, and moves the run's start as it says. */
export function useRunningOrder(
  source: OrderSource,
  run: KeptRun["run"],
  { startsAt, status }: RunState,
  wanted: boolean,
): OrderNews | null {
  const [news, setNews] = useState<OrderNews | null>(null);
  const follows = wanted && status !== "ended" && run.plan.kind !== "cool-down";
  useEffect(() => {
    if (!follows) {
      setNews(null);
      return;
    }
    return source.follow(run, setNews);
  }, [source, run, follows]);
  const expected = news ? Date.parse(news.startsAt) : null;
  // biome-ignore lint/correctness/useExhaustiveDependencies: told once by each piece of news; the coach may move it too
  useEffect(() => {
    if (!news || expected === null || Math.abs(expected - startsAt) < MOVED) return;
    moveRun(run.id, new Date(expected).toISOString(), null, news.simulated === true);
  }, [expected, run.id]);
  return news;
}
