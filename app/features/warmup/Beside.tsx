import { lazy, Suspense } from "react";
import { View } from "react-native";
import { showStrip } from "~/features/stair/showStrip";
import { Button } from "~/ui/Button";
import { Loading } from "~/ui/layout/Loading";
import { Heading } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { GivenUp } from "./dock/GivenUp";
import { DrillPane } from "./editing/DrillPane";
import type { WarmUpModel } from "./model/useWarmUp";

const ForecastSheet = lazy(() => import("./judged/ForecastSheet"));
const FindingsSheet = lazy(() => import("./judged/FindingsSheet"));

/** What stands beside the stair where there is room: the forecast or what there is to look at while they are open, else the drill that is chosen. */
export function Beside({ model }: { model: WarmUpModel }) {
  const { sheet, open } = model;
  if (sheet === "forecast" || sheet === "findings")
    return (
      <>
        <View className="flex-row items-center gap-2">
          <View className="flex-1">
            <Heading title={sheet === "forecast" ? "At the start" : words.toLookAt} />
          </View>
          <Button label={words.close} icon="close" iconOnly look="plain" onPress={() => open(null)} />
        </View>
        <Suspense fallback={<Loading />}>
          {sheet === "forecast" ? (
            <ForecastSheet model={model} />
          ) : (
            <FindingsSheet model={model} onShow={showStrip} />
          )}
        </Suspense>
      </>
    );
  return (
    <>
      <Heading title={model.selected?.item.name ?? "What this time gives"} />
      {model.selected ? <DrillPane model={model} /> : <GivenUp model={model} />}
    </>
  );
}
