import type { Fit } from "@tonodrome/core";
import type { Shared } from "@tonodrome/core/api";
import { dayPlan } from "@tonodrome/core/day";
import { printedSheet } from "@tonodrome/core/sheet";
import { useMemo, useState } from "react";
import { ScrollView } from "react-native";
import { useSharedTicks } from "~/data/day/useTicks";
import { CalendarFile } from "~/features/day/CalendarFile";
import { DayList } from "~/features/day/DayList";
import { Lists } from "~/features/day/Lists";
import { SheetFiles } from "~/features/sheet/SheetFiles";
import { Button } from "~/ui/Button";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";

function SharedLists({ token, shared }: Pick<SharedDayProps, "token" | "shared">) {
  return <Lists steps={shared.day.steps} ticked={useSharedTicks(token)} />;
}

interface SharedDayProps {
  token: string;
  shared: Shared;
  /** How long before the start the warm-up begins, whole seconds. */
  warmUpSeconds: number;
  fit: Fit;
}

/** The day of the start for whoever holds its link: its lists to tick off, and a calendar to take along. */
export default function SharedDay({ token, shared, warmUpSeconds, fit }: SharedDayProps) {
  const { startsAt, zone, athleteName, title, venue, day } = shared;
  const [listed, setListed] = useState(false);
  const [selectedId, select] = useState<string | null>(null);
  const frame = useMemo(
    () => ({ startsAt, zone, warmUpSeconds, steps: day.steps }),
    [startsAt, zone, warmUpSeconds, day.steps],
  );
  const { conditions } = shared;
  const sheet = useMemo(
    () => printedSheet({ athlete: athleteName, title, venue, frame, fit, conditions }),
    [athleteName, title, venue, frame, fit, conditions],
  );
  const plans = useMemo(() => ({ usual: dayPlan(frame, "usual"), bad: dayPlan(frame, "bad") }), [frame]);
  return (
    <ScrollView className="flex-1" contentContainerClassName="gap-4 px-4 py-2" testID="day" tabIndex={0}>
      <Button label={words.lists} icon="shelf" look="full" onPress={() => setListed(true)} />
      <DayList model={{ frame, plans, glance: null }} selectedId={selectedId} onSelect={select} />
      <CalendarFile
        frame={frame}
        isPossible={plans.usual.holds}
        of={{ id: day.id, title: `${athleteName}, ${title}`, venue, sequence: day.version }}
      />
      <SheetFiles sheet={sheet} />
      {listed ? (
        <Sheet title={words.lists} onClose={() => setListed(false)}>
          <SharedLists token={token} shared={shared} />
        </Sheet>
      ) : null}
    </ScrollView>
  );
}
