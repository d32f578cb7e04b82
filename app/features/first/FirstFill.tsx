import { approachName, type PlanBody } from "@tonodrome/core";
import { type Approach, suitedFirst } from "@tonodrome/core/approaches";
import { useEffect, useMemo, useRef, useState } from "react";
import { Pressable, Text, View } from "react-native";
import { anySeed, type FillFrom } from "~/features/fill/fillFor";
import { useFill, useFillPreviews } from "~/features/fill/useFill";
import { WholeRise } from "~/features/rise/WholeRise";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";

/** So many approaches are offered: the one that suits the event best is filled from, the others are a press away. */
const OFFERED = 3;

const NONE: readonly Approach[] = [];

interface FirstFillProps {
  from: FillFrom;
  /** Whether everything that it goes by has been read. */
  isReady: boolean;
  isEmpty: boolean;
  onFill: (body: PlanBody) => void;
  onGood: () => void;
}

/** Fills a new club's first warm-up by itself, and offers two other ways to it as their rises. */
export default function FirstFill({ from, isReady, isEmpty, onFill, onGood }: FirstFillProps) {
  const { event, start } = from;
  const { setting } = start;
  // As it was when this was opened: nothing changes its place under the finger.
  const [minutes] = useState(from.availableSeconds / 60);
  const approaches = useMemo(
    () => suitedFirst(event?.effort ?? null, setting, minutes).slice(0, OFFERED),
    [event, setting, minutes],
  );
  const [seed] = useState(anySeed);
  const [now, setNow] = useState<Approach["id"] | null>(null);
  // What could not be given stays with the plan.
  const filling = useFill(from, (approach, { body }) => {
    setNow(approach);
    onFill(body);
  });
  const began = useRef(false);
  const { fill } = filling;
  const [best] = approaches;
  useEffect(() => {
    if (!isReady || !isEmpty || began.current || !best) return;
    began.current = true;
    fill({ approach: best.id, seed });
  }, [isReady, isEmpty, best, seed, fill]);
  // The others wait for what was asked for: beside it they would only make it later.
  const previews = useFillPreviews(from, now ? approaches : NONE, seed, null);
  const others = approaches.filter((a) => a.id !== (now ?? best?.id));
  if (filling.failure)
    return <Notice warn text={filling.failure} actions={[{ label: "Good", onPress: onGood }]} />;
  const busy = filling.busy ?? (now ? null : best?.id);
  return (
    <View className="gap-2 border-b-2 border-line px-4 py-2" testID="first-fill">
      <View className="flex-row items-center gap-2">
        <Text className="min-w-0 flex-1 font-text text-body text-ink" role="status">
          {busy
            ? `Filling from ${approachName(busy)} …`
            : `Filled from ${approachName(now as Approach["id"])}. Or:`}
        </Text>
        <Button label="Good" look="plain" onPress={onGood} />
      </View>
      <View className="flex-row gap-3">
        {others.map(({ id }) => {
          const preview = previews?.find((p) => p.approach === id);
          return (
            <Pressable
              key={id}
              role="button"
              aria-label={`Fill from ${approachName(id)} instead`}
              disabled={busy !== null}
              onPress={() => fill({ approach: id, seed })}
              className="min-h-press min-w-0 flex-1 justify-end gap-1 border-2 border-muted px-2 py-1"
            >
              {preview ? <WholeRise segments={preview.segments} height={28} /> : null}
              <Text className="font-strong text-small text-ink" numberOfLines={1}>
                {approachName(id)}
              </Text>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
