import { conditionsOf, contextOf } from "@tonodrome/core";
import type { Day, Start } from "@tonodrome/core/api";
import { printedSheet } from "@tonodrome/core/sheet";
import { useMemo } from "react";
import { Text } from "react-native";
import { useStartDay } from "~/data/resources/days";
import { useStart } from "~/data/resources/starts";
import { useDay } from "~/features/day/useDay";
import { useFit } from "~/features/fit/useFit";
import { Loaded } from "~/ui/layout/Loading";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { SheetFiles } from "./SheetFiles";
import { SheetPage } from "./SheetPage";

/** A start on paper, as it will be printed: what works when phones do not. */
export function SheetScreen({ id }: { id: string }) {
  const start = useStart(id);
  const day = useStartDay(id);
  return (
    <Screen title={words.printedSheet} back="/">
      <Loaded query={start}>
        {(of) => <Loaded query={day}>{(read) => <StartSheet start={of} read={read} />}</Loaded>}
      </Loaded>
    </Screen>
  );
}

function StartSheet({ start, read }: { start: Start; read: Day }) {
  const { frame } = useDay(start, read);
  const { startsAt, readyAt, setting, facts, plan, athlete, title, venue, group } = start;
  // On paper there is all the time there was to be, whenever it is printed.
  const seconds = Math.max(0, Math.floor((Date.parse(startsAt) - Date.parse(readyAt)) / 1000));
  const context = useMemo(() => contextOf({ startsAt, setting, facts }), [startsAt, setting, facts]);
  const { fit, isBest } = useFit({
    plan: plan.body,
    context,
    availableSeconds: seconds,
    horizonSeconds: seconds,
  });
  const warmUpSeconds = plan.body.items.length > 0 ? -fit.beginSeconds : seconds;
  const sheet = useMemo(
    () =>
      printedSheet({
        athlete: athlete.name,
        title,
        venue,
        frame: { ...frame, warmUpSeconds },
        fit,
        conditions: conditionsOf(setting),
        group,
      }),
    [athlete.name, title, venue, frame, warmUpSeconds, fit, setting, group],
  );
  return (
    <>
      <SheetFiles sheet={sheet} />
      {isBest ? null : (
        <Text className="font-text text-small text-muted" role="status">
          Still being fitted …
        </Text>
      )}
      <SheetPage sheet={sheet} />
    </>
  );
}
