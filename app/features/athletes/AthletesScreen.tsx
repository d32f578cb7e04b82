import type { Athlete } from "@tonodrome/core/api";
import { useState } from "react";
import { Text, View } from "react-native";
import { useMay } from "~/data/account";
import { useAnonymiseAthlete, useAthletes, useDeleteAthlete } from "~/data/queries";
import { Button } from "~/ui/Button";
import { Loaded } from "~/ui/Loading";
import { Notice } from "~/ui/Notice";
import { Row } from "~/ui/Row";
import { Screen } from "~/ui/Screen";
import { Sheet } from "~/ui/Sheet";

/** The club's athletes, and for its owners the two ways to take a person out of it. */
export function AthletesScreen() {
  const athletes = useAthletes();
  const manages = useMay("manage");
  const [chosen, setChosen] = useState<Athlete | null>(null);
  return (
    <Screen title="Athletes" back="/club">
      <Loaded query={athletes}>
        {(list) =>
          list.length === 0 ? (
            <Notice text="No athletes yet. A new start on Today makes the first." />
          ) : (
            <View role="list" aria-label="Athletes">
              {list.map((athlete) => (
                <Row
                  key={athlete.id}
                  title={athlete.name}
                  action={
                    manages ? (
                      <Button
                        label={`Remove ${athlete.name}`}
                        short="Remove"
                        onPress={() => setChosen(athlete)}
                      />
                    ) : null
                  }
                />
              ))}
            </View>
          )
        }
      </Loaded>
      {chosen ? (
        <Sheet title={`Remove ${chosen.name}`} onClose={() => setChosen(null)}>
          <RemoveAthlete athlete={chosen} onDone={() => setChosen(null)} />
        </Sheet>
      ) : null}
    </Screen>
  );
}

function RemoveAthlete({ athlete, onDone }: { athlete: Athlete; onDone: () => void }) {
  const anonymise = useAnonymiseAthlete();
  const remove = useDeleteAthlete();
  const failure = anonymise.error ?? remove.error;
  const pending = anonymise.isPending || remove.isPending;
  const finish = { onSuccess: onDone };
  return (
    <View className="gap-4">
      <Text className="font-text text-body text-ink">
        Anonymous: the name goes, everywhere and for good; starts, warm-ups and the log stay. Deleted: those
        go too. Neither can be taken back.
      </Text>
      {failure ? <Notice warn text={failure.message} /> : null}
      <Button
        label="Make anonymous"
        look="full"
        disabled={pending}
        onPress={() => anonymise.mutate(athlete, finish)}
      />
      <Button
        label="Delete with every start and run"
        icon="remove"
        disabled={pending}
        onPress={() => remove.mutate(athlete, finish)}
      />
    </View>
  );
}
