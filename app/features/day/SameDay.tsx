import { spokenLength } from "@tonodrome/core";
import { Link } from "expo-router";
import { Text, View } from "react-native";
import { clockTime } from "~/ui/dates";
import type { DayModel } from "./useDay";

/** The athlete's starts of the day, one after the other with the time between: each is a press away. */
export function SameDay({ model: { start, sameDay } }: { model: Pick<DayModel, "start" | "sameDay"> }) {
  if (sameDay.length < 2) return null;
  return (
    <View role="list" aria-label="Starts of this day" className="flex-row flex-wrap items-center gap-2">
      {sameDay.map((one, i) => {
        const before = sameDay[i - 1];
        const apart = before ? Date.parse(one.startsAt) - Date.parse(before.startsAt) : 0;
        const isThis = one.id === start.id;
        return (
          <View key={one.id} role="listitem" className="min-w-0 max-w-full flex-row items-center gap-2">
            {before ? (
              <Text className="font-text text-small text-muted">
                {spokenLength(Math.floor(apart / 60_000) * 60)} later
              </Text>
            ) : null}
            <Link
              href={`/day/${one.id}`}
              replace
              aria-current={isThis ? "page" : undefined}
              className={`flex min-h-press min-w-0 shrink flex-row overflow-hidden items-center border-2 border-press px-3 ${isThis ? "bg-press" : ""}`}
            >
              <Text
                numberOfLines={1}
                className={`font-strong text-body ${isThis ? "text-on-press" : "text-press"}`}
              >
                {clockTime(one.startsAt, start.zone)} {one.setting.ifThrough ? "if through: " : ""}
                {one.title}
              </Text>
            </Link>
          </View>
        );
      })}
    </View>
  );
}
