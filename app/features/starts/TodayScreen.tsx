import type { Start } from "@tonodrome/core/api";
import { Link, useRouter } from "expo-router";
import { useEffect, useRef, useState } from "react";
import { Text, View } from "react-native";
import { useMay, useMembership } from "~/data/account/useAccount";
import { useNow, useNowNear } from "~/data/client/useNow";
import { dropSight } from "~/data/device/sight";
import { useDrills } from "~/data/resources/drills";
import { useDeletedStart, useRestoreStart, useStarts } from "~/data/resources/starts";
import { useOpenRuns } from "~/data/runs/useRuns";
import { ThemeButton } from "~/features/theme/ThemeButton";
import { Button } from "~/ui/Button";
import { useGrowing } from "~/ui/hooks/useGrowing";
import { useSame } from "~/ui/hooks/useSame";
import { useWide } from "~/ui/hooks/useWide";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { dayAxisOf } from "./dayAxis";
import { StartCard } from "./StartCard";
import { useSight } from "./useSight";

/** The next starts, soonest first. */
export function TodayScreen() {
  const router = useRouter();
  const starts = useStarts();
  const club = useMembership();
  const mayBuild = useMay("build");
  const wide = useWide();
  const now = useNowNear(() => (starts.data ?? []).map((s) => Date.parse(s.startsAt)));
  const add = () => router.push("/start/new");
  useSight(starts.data);
  return (
    <Screen
      title={words.today}
      over={wide ? undefined : club.name}
      action={
        <View className="flex-row">
          {wide ? null : <ThemeButton iconOnly />}
          {mayBuild ? <Button label={words.newStart} icon="add" onPress={add} /> : null}
        </View>
      }
    >
      {mayBuild ? <Deleted /> : null}
      {starts.error && starts.data ? <Notice warn text={starts.error.message} /> : null}
      {starts.data ? null : <KeptRuns />}
      <Loaded query={starts}>
        {(list) => <StartList starts={list} now={now} onAdd={mayBuild ? add : null} />}
      </Loaded>
    </Screen>
  );
}

/** Runs that go on on this phone: one press away also where Today was never read, as without a network. */
function KeptRuns() {
  return useOpenRuns().map(({ run }) => (
    <Link key={run.id} href={`/run/${run.id}`} className="flex min-h-press items-center bg-press px-4">
      <Text className="font-strong text-body text-on-press" numberOfLines={1}>
        Back to the run: {run.athleteName}, {run.title}
      </Text>
    </Link>
  ));
}

/** For a minute the start that was just deleted can be had back. */
function Deleted() {
  const start = useDeletedStart(useNow());
  const restore = useRestoreStart();
  if (!start) return null;
  return (
    <Notice
      text={
        restore.error
          ? `Not restored. ${restore.error.message}`
          : `Deleted: ${start.athlete.name}, ${start.title}.`
      }
      actions={[{ label: words.undo, onPress: () => restore.mutate(start) }]}
    />
  );
}

/** Starts that are in sight at once, on a phone and on a wide screen. */
const IN_SIGHT = { phone: 2, wide: 4 };

/** Where nothing is on the shelf yet, the way in is the first warm-up; else another start. */
function NewOrFirst({ onAdd }: { onAdd: () => void }) {
  const router = useRouter();
  const { data: drills } = useDrills(true);
  return (
    <>
      {drills?.length === 0 ? (
        <Button label="Set up your first warm-up" look="full" onPress={() => router.push("/first")} />
      ) : null}
      <Button
        label={words.newStart}
        icon="add"
        look={drills?.length === 0 ? "outline" : "full"}
        onPress={onAdd}
      />
    </>
  );
}

/** Starts in the order of ids; those that are not among them come last. */
function inOrder(starts: readonly Start[], ids: readonly string[]): Start[] {
  const place = ({ id }: Start) => (ids.includes(id) ? ids.indexOf(id) : ids.length);
  return [...starts].sort((a, b) => place(a) - place(b));
}

function StartList({ starts, now, onAdd }: { starts: Start[]; now: number; onAdd: (() => void) | null }) {
  const [moving, setMoving] = useState<string | null>(null);
  const isAhead = (s: Start) => Date.parse(s.startsAt) >= now || s.id === moving;
  // While one is being moved every card stays where it is: the next press is for the same one.
  const order = useRef<readonly string[]>([]);
  const inTime = starts.filter(isAhead);
  const ahead = moving === null ? inTime : inOrder(inTime, order.current);
  order.current = ahead.map((s) => s.id);
  const past = starts.filter((s) => !isAhead(s)).reverse();
  // On a wide screen the day is seen as one clock; a new one only when the starts change, not with every second.
  const wide = useWide();
  const key = ahead.map((s) => s.stamp).join();
  const found = wide ? dayAxisOf(ahead, now) : null;
  const axis = useSame(found, `${key} ${found?.from} ${found?.to}`);
  const shown = useGrowing(starts.length, wide ? IN_SIGHT.wide : IN_SIGHT.phone);
  // The first start ahead says itself when it is as it was seen last.
  const isNone = ahead.length === 0;
  useEffect(() => {
    if (isNone) dropSight();
  }, [isNone]);
  if (starts.length === 0 && !onAdd) return <Notice text="No starts ahead." />;
  if (starts.length === 0 && onAdd) {
    return (
      <View className="gap-3">
        <Notice text="No starts ahead." />
        <NewOrFirst onAdd={onAdd} />
      </View>
    );
  }
  return (
    <View className="gap-4">
      {ahead.slice(0, shown).map((start, i) => (
        <StartCard
          key={start.id}
          start={start}
          others={starts}
          first={i === 0}
          axis={axis}
          onMoving={setMoving}
        />
      ))}
      {ahead.length === 0 ? <Notice text="No more starts ahead today." /> : null}
      {past.slice(0, Math.max(0, shown - ahead.length)).map((start) => (
        <StartCard key={start.id} start={start} others={starts} first={false} />
      ))}
    </View>
  );
}
