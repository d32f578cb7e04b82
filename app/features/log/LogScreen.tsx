import { formatLength } from "@tonodrome/core";
import type { RunRow } from "@tonodrome/core/api";
import { Link, useRouter } from "expo-router";
import { Text, View } from "react-native";
import { useNow } from "~/data/client/useNow";
import { useRuns } from "~/data/resources/log";
import { Button } from "~/ui/Button";
import { clockTime, dayName } from "~/ui/dates";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";

/** Runs, newest first. */
export function LogScreen() {
  const router = useRouter();
  const runs = useRuns();
  const now = useNow(60_000);
  return (
    <Screen title="Log">
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
          return (
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
  const at = row.beganAt ?? row.startsAt;
  const off = row.realSeconds - row.plannedSeconds;
  return (
    <View role="listitem" className="border-t-2 border-line">
      <Link href={`/log/${row.id}`} className="flex w-full py-2">
        <View className="w-full flex-row items-start gap-3">
          <View className="flex-1">
            <Text className="font-strong text-body text-ink" numberOfLines={1}>
              {row.athleteName}
            </Text>
            <Text className="font-text text-small text-muted" numberOfLines={2}>
              {row.kind === "cool-down" ? `Cool-down, ${row.title}` : row.title}
            </Text>
            <Text className="font-text text-small text-muted">
              {dayName(at, row.zone, now)} {clockTime(at, row.zone)}, {row.done} of {row.drills} done
              {row.skipped > 0 ? `, ${row.skipped} skipped` : ""}
              {row.endedAt ? "" : ", not ended"}
            </Text>
          </View>
          <View className="items-end">
            <Text className="font-figures text-lead text-ink" style={{ fontVariant: ["tabular-nums"] }}>
              {formatLength(row.realSeconds)}
            </Text>
            <Text className="font-text text-small text-muted">
              {off === 0 ? "as planned" : `${formatLength(Math.abs(off))} ${off > 0 ? "over" : "under"}`}
            </Text>
          </View>
        </View>
      </Link>
    </View>
  );
}
