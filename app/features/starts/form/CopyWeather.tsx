import { type Setting, weatherOf, wordKey } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useState } from "react";
import { Text } from "react-native";
import { dayOf } from "~/data/resources/circumstances";
import { useSaveStart, useStarts } from "~/data/resources/starts";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";

/** Gives the weather of one start to the others at its venue on its day, with one press. */
export function CopyWeather({ start, setting }: { start: Start; setting: Setting }) {
  const starts = useStarts().data ?? [];
  const save = useSaveStart();
  const [done, setDone] = useState<number | null>(null);
  const others = starts.filter(
    (s) => s.id !== start.id && wordKey(s.venue) === wordKey(start.venue) && dayOf(s) === dayOf(start),
  );
  if (start.venue === "" || others.length === 0) return null;
  const copy = async () => {
    setDone(null);
    let copied = 0;
    for (const other of others) {
      const next = { ...other.setting, ...weatherOf(setting) };
      const saved = await save.mutateAsync({ start: other, changes: { setting: next } }).catch(() => null);
      if (!saved) break;
      copied++;
    }
    setDone(copied);
  };
  const many = others.length === 1 ? "the other start" : `the other ${others.length} starts`;
  return (
    <>
      <Button label={`Copy the weather to ${many} here today`} disabled={save.isPending} onPress={copy} />
      {save.error ? <Notice warn text={`Not all of them. ${save.error.message}`} /> : null}
      {done !== null && !save.error ? (
        <Text role="status" className="font-text text-body text-ink">
          Copied to {done}.
        </Text>
      ) : null}
    </>
  );
}
