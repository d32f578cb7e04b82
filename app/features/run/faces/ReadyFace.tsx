import { flooredLength, MINUTE_SECONDS, runDrills, spokenLength, weatherCaution } from "@tonodrome/core";
import { Text, View } from "react-native";
import type { FaceModel } from "./faceModel";
import { Timer } from "./Timer";

/** So long before it begins by itself it counts down, seconds. */
const COUNT = 10;

/** Before the first drill: what is to come, when it begins, and what is above any plan. */
export function ReadyFace({ model, text }: { model: FaceModel; text: string }) {
  const { state, clock, settings } = model;
  const drills = runDrills(state.splits);
  const planned = state.splits.reduce((sum, s) => sum + s.plannedSeconds, 0);
  const first = drills[0]?.[0]?.drill;
  const until = Math.ceil(clock.ahead);
  const weather = weatherCaution(model.plan);
  const early = clock.ahead >= MINUTE_SECONDS ? flooredLength(clock.ahead) : null;
  const begunNow = model.forecast?.ifBegunNow;
  const counts = settings.beginsItself && until > 0 && until <= COUNT;
  return (
    <View>
      <Text className={`font-strong text-title ${text}`}>{counts ? "Begins in" : "Ready to begin"}</Text>
      {counts ? (
        <Timer text={text} big={settings.bigType}>
          {String(until)}
        </Timer>
      ) : null}
      <Text className={`font-text text-lead ${text}`}>
        {drills.length} {drills.length === 1 ? "drill" : "drills"}, {spokenLength(planned)}. First:{" "}
        {first?.name}
        {first?.place ? `, ${first.place}` : ""}.
      </Text>
      {settings.beginsItself && until > COUNT ? (
        <Text className={`pt-2 font-text text-lead ${text}`}>Begins by itself in {spokenLength(until)}.</Text>
      ) : null}
      {early ? (
        <Text className={`pt-2 font-strong text-lead ${text}`} testID="too-early">
          Begin in {early}
          {begunNow ? `; begun now, ${flooredLength(begunNow.waitSeconds)} of waiting: ${begunNow.line}` : ""}
          .
        </Text>
      ) : null}
      {weather ? (
        <Text className={`pt-2 font-strong text-body ${text}`} testID="weather">
          {weather}
        </Text>
      ) : null}
      <Text className={`pt-6 font-text text-body ${text}`}>
        Chest pain, faintness, confusion, sharp or growing pain: stop and get help. This plans time and gives
        no medical advice; the venue and those who treat the athlete come first.
      </Text>
    </View>
  );
}
