import type { StarterInstall } from "@tonodrome/core/api";
import { lazy, Suspense, useState } from "react";
import { View } from "react-native";
import { useInstallStarter, useStarters } from "~/data/resources/starters";
import { Button } from "~/ui/Button";
import { FilePicker } from "~/ui/fields/FilePicker";
import { Loaded, Loading } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { words } from "~/ui/words";

// Reading tables is loaded when one is chosen.
const ShelfTable = lazy(() => import("./ShelfTable"));

/** Shelves to begin with: one press puts one up, and what is there stays as it is. */
export function Starters() {
  const starters = useStarters();
  const install = useInstallStarter();
  const put = (wanted: StarterInstall) => install.mutate(wanted);
  const { data: done } = install;
  const [table, setTable] = useState<string | null>(null);
  if (table !== null)
    return (
      <Suspense fallback={<Loading />}>
        <ShelfTable text={table} onClose={() => setTable(null)} />
      </Suspense>
    );
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
      <FilePicker
        label="From a file or a table"
        disabled={install.isPending}
        what="A shelf's file"
        accept=".json,.csv,application/json,text/csv"
        onFile={async (chosen) => {
          const text = await chosen.text();
          if (/\.csv$/i.test(chosen.name)) setTable(text);
          else put({ text });
        }}
      />
    </View>
  );
}
