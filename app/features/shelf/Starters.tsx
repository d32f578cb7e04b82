import type { StarterInstall } from "@tonodrome/core/api";
import { useRef } from "react";
import { View } from "react-native";
import { useInstallStarter, useStarters } from "~/data/resources/starters";
import { Button } from "~/ui/Button";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { words } from "~/ui/words";

/** Shelves to begin with: one press puts one up, and what is there stays as it is. */
export function Starters() {
  const starters = useStarters();
  const install = useInstallStarter();
  const file = useRef<HTMLInputElement>(null);
  const put = (wanted: StarterInstall) => install.mutate(wanted);
  const { data: done } = install;
  return (
    <View className="gap-3">
      {done ? (
        <Notice
          text={`${done.name}: ${done.added} ${done.added === 1 ? "drill" : "drills"} added${done.kept > 0 ? `, ${done.kept} left as they were` : ""}.`}
        />
      ) : null}
      {install.error ? <Notice warn text={install.error.message} /> : null}
      <Loaded query={starters}>
        {(list) => (
          <View role="list" aria-label={words.starterShelves}>
            {list.map(({ key, name, about, drills, installed }) => (
              <Row
                key={key}
                title={name}
                detail={`${about} ${installed === 0 ? `${drills} drills.` : installed < drills ? `${installed} of ${drills} drills are on your shelf.` : `All ${drills} drills are on your shelf.`}`}
                action={
                  installed < drills ? (
                    <Button
                      label={`Add ${name} to the shelf`}
                      short={install.isPending ? "…" : "Add to the shelf"}
                      look={installed === 0 ? "full" : "outline"}
                      disabled={install.isPending}
                      onPress={() => put({ key })}
                    />
                  ) : null
                }
              />
            ))}
          </View>
        )}
      </Loaded>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="A shelf's file"
        onChange={async (e) => {
          const [chosen] = e.currentTarget.files ?? [];
          e.currentTarget.value = "";
          if (chosen) put({ text: await chosen.text() });
        }}
      />
      <Button label="From a file" disabled={install.isPending} onPress={() => file.current?.click()} />
    </View>
  );
}
