import { useQueryClient } from "@tanstack/react-query";
import { EASY_SESSION, fitTimeline, givenUpLine, sessionKindOf } from "@tonodrome/core";
import type { Shared } from "@tonodrome/core/api";
import { lazy, Suspense, useMemo, useState } from "react";
import { ScrollView, Text, View } from "react-native";
import { useChanges } from "~/data/client/useChanges";
import { useNow } from "~/data/client/useNow";
import { isLinkOver, useShared } from "~/data/resources/shares";
import { useFit } from "~/features/fit/useFit";
import { FitStateLine } from "~/features/judge/FitStateLine";
import { WholeRise } from "~/features/rise/WholeRise";
import { DrillKnowledge } from "~/features/shelf/DrillKnowledge";
import { Stair } from "~/features/stair/Stair";
import { StartBand } from "~/features/stair/StartBand";
import { Choice } from "~/ui/fields/Choice";
import { Loaded, Loading } from "~/ui/layout/Loading";
import { Heading, useTitle } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { LiveNow } from "./LiveNow";

// Loaded when somebody looks at it.
const SharedDay = lazy(() => import("./SharedDay"));

/** One start's warm-up for whoever holds its link: read-only, and as it stands now. */
export function SharedScreen({ token }: { token: string }) {
  const shared = useShared(token);
  const client = useQueryClient();
  const reread = () => void client.invalidateQueries({ queryKey: ["shared", token] });
  useChanges(`/shared/${token}/changes`, reread, reread);
  useTitle("A warm-up");
  // A link that is over shows nothing of what it showed before.
  const query = shared.error && isLinkOver(shared.error) ? { ...shared, data: undefined } : shared;
  return (
    <View className="h-dvh bg-paper" role="main">
      <Loaded query={query as typeof shared}>{(data) => <SharedWarmUp token={token} shared={data} />}</Loaded>
    </View>
  );
}

function SharedWarmUp({ token, shared }: { token: string; shared: Shared }) {
  const { plan, title, athleteName, venue, clubName } = shared;
  const now = useNow();
  const [selectedId, select] = useState<string | null>(null);
  const [shown, show] = useState<"warm-up" | "day">("warm-up");
  const startsAt = Date.parse(shared.startsAt);
  const available = Math.max(0, Math.floor((startsAt - Date.parse(shared.readyAt)) / 1000));
  const untilStart = Math.floor((startsAt - now) / 1000);
  const { fit } = useFit({
    plan,
    context: shared.context,
    availableSeconds: untilStart > 0 ? Math.min(available, untilStart) : available,
    horizonSeconds: available,
  });
  const segments = useMemo(() => fitTimeline(fit), [fit]);
  // What to do, how hard, how long and the focus stand in the strip.
  const known = plan.items.find((i) => i.id === selectedId)?.details;
  return (
    <View className="mx-auto min-h-0 w-full max-w-[760px] flex-1">
      <View className="px-4 pt-2">
        <Heading small title={title} over={[athleteName, venue].filter(Boolean).join(", ")} />
        <Text className="font-text text-small text-muted">
          Shared by {clubName}. It follows every change by itself.
        </Text>
        {shared.run ? (
          <LiveNow run={shared.run} now={now} />
        ) : (
          <Text className="pb-1 font-text text-small text-ink" role="status">
            {givenUpLine(fit)}
          </Text>
        )}
        {shared.group > 1 ? (
          <Text className="font-text text-small text-ink">
            In a group of {shared.group}, led by the coach.
          </Text>
        ) : null}
        {sessionKindOf(shared.conditions) === "easy" ? (
          <Text className="font-text text-small text-ink">{EASY_SESSION}</Text>
        ) : null}
        {shared.run ? null : <WholeRise segments={segments} />}
        {shared.run ? null : <FitStateLine fit={fit} conditions={shared.conditions} />}
      </View>
      <View className="px-4 py-1">
        <Choice
          label="What is shown"
          options={[
            { value: "warm-up", label: words.warmUp },
            { value: "day", label: words.day },
          ]}
          value={shown}
          onChange={show}
        />
      </View>
      {shown === "day" ? (
        <Suspense fallback={<Loading />}>
          <SharedDay
            token={token}
            shared={shared}
            fit={fit}
            warmUpSeconds={plan.items.length > 0 ? -fit.beginSeconds : available}
          />
        </Suspense>
      ) : (
        <ScrollView className="flex-1" contentContainerClassName="px-4 py-2" testID="stair" tabIndex={0}>
          {plan.items.length === 0 ? (
            <Text className="font-text text-body text-ink">The warm-up is not built yet.</Text>
          ) : null}
          <Stair
            fit={fit}
            context={shared.context}
            selectedId={selectedId}
            onSelect={(id) => select(id === selectedId ? null : id)}
            opened={known ? <DrillKnowledge details={known} /> : null}
          />
        </ScrollView>
      )}
      <StartBand start={shared} beginSeconds={fit.beginSeconds} />
    </View>
  );
}
