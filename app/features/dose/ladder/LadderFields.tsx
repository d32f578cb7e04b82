import {
  changeRung,
  copyRung,
  idealLevel,
  type LadderDose,
  levelsOf,
  lostLabels,
  MOST_RUNGS,
  moveRung,
  removeRung,
} from "@tonodrome/core";
import { lazy, Suspense, useState } from "react";
import { Text, View } from "react-native";
import { v4 as uuid } from "uuid";
import type { EditProps } from "~/features/fields/fields";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { Loading } from "~/ui/layout/Loading";
import { words } from "~/ui/words";
import { RungEditor } from "./RungEditor";
import { RungLine } from "./RungStair";
import { useScales } from "./scales";

// Loaded when it is first asked for: most drills are no ladders.
const Generator = lazy(() => import("./LadderMaker"));

/** The rungs of a ladder, by hand or made from a few wishes. One rung is open at a time, in its place. */
export function LadderFields({ dose, onChange }: EditProps<LadderDose>) {
  const [openId, setOpenId] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const rungs = levelsOf(dose)[idealLevel(dose)]?.rungs ?? [];
  const lost = lostLabels(dose, useScales());
  if (making) {
    return (
      <Suspense fallback={<Loading />}>
        <Generator
          onUse={(made) => {
            setMaking(false);
            onChange(made);
          }}
          onCancel={() => setMaking(false)}
        />
      </Suspense>
    );
  }
  return (
    <View className="gap-3">
      <Button label="Make the rungs for me" icon="settings" onPress={() => setMaking(true)} />
      {lost.length > 0 ? (
        <Text className="font-text text-small text-muted">
          Not on the athlete's scales any more: {lost.join(", ")}. The rungs stay as they are.
        </Text>
      ) : null}
      <ol aria-label={words.rungsFirstToLast} className="m-0 list-none p-0">
        {dose.rungs.map((rung, i) => (
          <li key={rung.id}>
            <RungLine
              rung={rungs[i] ?? { ...rung, name: rung.label, words: "", seconds: 0 }}
              expanded={openId === rung.id}
              onPress={() => setOpenId(openId === rung.id ? null : rung.id)}
            />
            {openId === rung.id ? (
              <RungEditor
                rung={rung}
                first={i === 0}
                last={i === dose.rungs.length - 1}
                only={dose.rungs.length === 1}
                onChange={(change) => onChange(changeRung(dose, rung.id, change))}
                onMove={(by) => onChange(moveRung(dose, rung.id, by))}
                onCopy={() => onChange(copyRung(dose, rung.id, uuid))}
                onRemove={() => onChange(removeRung(dose, rung.id))}
              />
            ) : null}
          </li>
        ))}
      </ol>
      <Button
        label="Add a rung on top"
        icon="add"
        disabled={dose.rungs.length >= MOST_RUNGS}
        onPress={() => onChange(copyRung(dose, dose.rungs.at(-1)?.id ?? "", uuid))}
      />
      <Amount
        label="Fewest rungs"
        value={dose.leastRungs}
        least={1}
        most={dose.rungs.length}
        onChange={(leastRungs) => onChange({ ...dose, leastRungs })}
      />
    </View>
  );
}
