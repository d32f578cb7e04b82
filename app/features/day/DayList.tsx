import type { Glance } from "@tonodrome/core/judge";
import { useEffect, useMemo } from "react";
import { Text, View } from "react-native";
import { useNow } from "~/data/client/useNow";
import { calendarDay } from "~/ui/dates";
import { dayRows, daysApart } from "./dayRows";
import { StepRow } from "./StepRow";
import type { DayModel } from "./useDay";

interface DayListProps {
  model: Pick<DayModel, "frame" | "plans"> & { glance: Glance | null };
  selectedId: string | null;
  onSelect: (id: string) => void;
}

/** The day as one line of time, from the evening before to after the cool-down. */
export function DayList({ model: { frame, plans, glance }, selectedId, onSelect }: DayListProps) {
  const parts = useMemo(() => dayRows(frame, plans.usual, plans.bad), [frame, plans]);
  const now = useNow(30_000);
  // It opens where the day is.
  const next = parts.flatMap((p) => p.rows).findIndex((r) => r.ends !== null && r.ends > now);
  const nextId = parts.flatMap((p) => p.rows)[next]?.step.id;
  // biome-ignore lint/correctness/useExhaustiveDependencies: only when it is opened
  useEffect(() => {
    if (nextId && next > 0)
      document.querySelector(`[data-step="${nextId}"]`)?.scrollIntoView?.({ block: "center" });
  }, []);
  return (
    <View className="gap-3">
      <View className="flex-row gap-2 pl-2" aria-hidden>
        <Text className="w-[3.2rem] font-text text-small text-muted">usual</Text>
        <Text className="w-[4rem] font-text text-small text-muted">if badly</Text>
      </View>
      {parts.map(({ date, rows }) => (
        <View key={date ?? "none"} className="gap-1">
          {date ? (
            <Text role="heading" aria-level={2} className="font-strong text-body text-ink">
              {calendarDay(date)}, {daysApart(date, frame.startsAt, frame.zone)}
            </Text>
          ) : null}
          <View role="list" aria-label={date ? calendarDay(date) : "Steps"}>
            {rows.map((row) => (
              <StepRow
                key={row.step.id}
                row={row}
                zone={frame.zone}
                glance={row.step.kind === "warm-up" ? glance : null}
                isNow={
                  row.begins.usual !== null && row.ends !== null && row.begins.usual <= now && now < row.ends
                }
                selected={row.step.id === selectedId}
                onSelect={onSelect}
              />
            ))}
          </View>
        </View>
      ))}
    </View>
  );
}
