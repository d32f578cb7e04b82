import { formatLength, type RunForecast, spokenLength, type WaitPrompt } from "@tonodrome/core";
import { Text, View } from "react-native";
import { clockTime } from "~/ui/dates";
import { breathWords } from "./DrillFace";
import type { FaceModel } from "./faceModel";
import { Timer } from "./Timer";

/** "Still warm until about 14:31." */
function warmWords({ warmUntil, line }: RunForecast, zone: string): string {
  if (warmUntil === null) return line ? `By the forecast ${line}.` : "";
  return `Still warm until about ${clockTime(warmUntil, zone)}.`;
}

/** The wait before the start: how long still, what to do now, and when there is something else. */
export function WaitFace({
  model,
  prompt,
  text,
}: {
  model: FaceModel;
  prompt: WaitPrompt | null;
  text: string;
}) {
  const { clock, state, now, plan } = model;
  const isCoolDown = plan.kind === "cool-down";
  const started = clock.untilStart <= 0;
  const breathing = prompt?.kind === "routine" && state.waitingSince !== null;
  return (
    <View>
      <Text className={`font-strong text-title ${text}`}>
        {isCoolDown ? "Cool-down done" : started ? "Started" : "Wait"}
      </Text>
      <Timer text={text} big={model.settings.bigType}>
        {formatLength(Math.abs(isCoolDown ? 0 : clock.untilStart))}
      </Timer>
      <Text className={`font-strong text-title ${text}`} numberOfLines={4} testID="prompt">
        {isCoolDown
          ? "Dry clothes on, drink, and tell somebody how it was."
          : started
            ? "Ease in: safe things first, then the rest."
            : (prompt?.words ?? "Warm clothes on. Keep moving, easily.")}
      </Text>
      {breathing ? (
        <Text className={`font-strong text-title ${text}`}>
          {breathWords((now - (state.waitingSince as number)) / 1000, "")}
        </Text>
      ) : null}
      {!isCoolDown && !started && model.forecast ? (
        <Text className={`pt-2 font-text text-body ${text}`} testID="warm-until">
          {warmWords(model.forecast, model.run.zone)}
        </Text>
      ) : null}
      {prompt && !started ? (
        <Text className={`pt-2 font-text text-body ${text}`}>
          {prompt.seconds >= 1 ? `Something else in ${spokenLength(Math.ceil(prompt.seconds))}` : " "}
        </Text>
      ) : null}
    </View>
  );
}
