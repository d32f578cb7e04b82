import type { RunRow } from "@tonodrome/core/api";
import { Link, useRouter } from "expo-router";
import { useState } from "react";
import { ScrollView, Text, View } from "react-native";
import { useNow } from "~/data/client/useNow";
import { useRuns } from "~/data/resources/log";
import { Button } from "~/ui/Button";
import { useWide } from "~/ui/hooks/useWide";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { LogTable } from "./LogTable";
import { RunRecord } from "./RunRecord";
import { runRowWords } from "./runRowWords";
import { useLoggedRun } from "./useLoggedRun";

/** Runs, newest first; where there is room, as a table with the one that is chosen beside it. */
export function LogScreen() {
  const wide = useWide();
  const [chosenId, show] = useState<string | null>(null);
  const runs = useRuns();
  const shownId = chosenId ?? runs.data?.pages[0]?.runs[0]?.id ?? null;
  if (!wide) return <LogList runs={runs} shownId={null} onShow={show} />;
  return (
    <View className="min-h-0 flex-1 flex-row">
      <View className="w-[640px] min-w-0">
        <LogList runs={runs} shownId={shownId} onShow={show} wide />
      </View>
      <ScrollView
        className="flex-1 border-l-2 border-line"
        contentContainerClassName="max-w-[640px] gap-4 p-6"
        tabIndex={0}
        role="region"
        aria-label="The chosen run"
      >
        {shownId ? <Beside key={shownId} id={shownId} /> : null}
      </ScrollView>
    </View>
  );
}

/** The run that is chosen, beside the table. */
function Beside({ id }: { id: string }) {
  const { run, sent, query } = useLoggedRun(id);
  if (!run) return <Loaded query={query}>{() => null}</Loaded>;
  return (
    <>
      <View>
        <Text className="font-text text-body text-muted">{run.athleteName}</Text>
        <Text role="heading" aria-level={2} className="font-strong text-title text-ink">
          {run.title}
        </Text>
      </View>
      <RunRecord run={run} sent={sent} />
    </>
  );
}

interface LogListProps {
  runs: ReturnType<typeof useRuns>;
  shownId: string | null;
  onShow: (id: string) => void;
  wide?: boolean;
}

function LogList({ runs, shownId, onShow, wide = false }: LogListProps) {
  const router = useRouter();
  const now = useNow(60_000);
  return (
    <Screen title={words.log}>
      <Loaded query={runs}>
        {({ pages }) => {
          const rows = pages.flatMap((p) => p.runs);
          if (rows.length === 0) {
            return (
              <Notice
                text="Nothing has been run yet."
                actions={[{ label: "See the next starts", onPress: () => router.push("/") }]}
              />
            );
          }
          return wide ? (
            <LogTable rows={rows} now={now} shownId={shownId} onShow={onShow} />
          ) : (
            <View role="list">
              {rows.map((row) => (
                <Row key={row.id} row={row} now={now} />
              ))}
            </View>
          );
        }}
      </Loaded>
      {runs.hasNextPage ? (
        <Button
          label="Earlier runs"
          disabled={runs.isFetchingNextPage}
          onPress={() => void runs.fetchNextPage()}
        />
      ) : null}
    </Screen>
  );
}

function Row({ row, now }: { row: RunRow; now: number }) {
  const { when, what, done, real, against } = runRowWords(row, now);
  return (
    <View role="listitem" className="border-t-2 border-line">
      <Link href={`/log/${row.id}`} className="flex w-full py-2">
        <View className="w-full flex-row items-start gap-3">
          <View className="flex-1">
            <Text className="font-strong text-body text-ink" numberOfLines={1}>
              {row.athleteName}
            </Text>
            <Text className="font-text text-small text-muted" numberOfLines={2}>
              {what}
            </Text>
            <Text className="font-text text-small text-muted">
              {when}, {done}
            </Text>
          </View>
          <View className="items-end">
            <Text className="font-figures text-lead text-ink" style={{ fontVariant: ["tabular-nums"] }}>
              {real}
            </Text>
            <Text className="font-text text-small text-muted">{against}</Text>
          </View>
        </View>
      </Link>
    </View>
  );
}
