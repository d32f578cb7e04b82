import { nameSchema } from "@tonodrome/core";
import type { Athlete } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Text, View } from "react-native";
import { useMay } from "~/data/account/useAccount";
import {
  useAnonymiseAthlete,
  useAthletes,
  useCreateAthlete,
  useDeleteAthlete,
} from "~/data/resources/athletes";
import { Button } from "~/ui/Button";
import { NameForm } from "~/ui/fields/NameForm";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { Screen } from "~/ui/layout/Screen";
import { Sheet } from "~/ui/layout/Sheet";
import { words } from "~/ui/words";

/** The club's athletes, and for its owners the two ways to take a person out of it. */
export function AthletesScreen() {
  const athletes = useAthletes();
  const manages = useMay("manage");
  const builds = useMay("build");
  const router = useRouter();
  const create = useCreateAthlete();
  const [making, setMaking] = useState(false);
  const [chosen, setChosen] = useState<Athlete | null>(null);
  return (
    <Screen
      title={words.athletes}
      back="/club"
      action={builds ? <Button label="New athlete" icon="add" onPress={() => setMaking(true)} /> : undefined}
    >
      <Loaded query={athletes}>
        {(list) =>
          list.length === 0 ? (
            <Notice
              text="No athletes yet."
              actions={builds ? [{ label: "Add the first athlete", onPress: () => setMaking(true) }] : []}
            />
          ) : (
            <View role="list" aria-label={words.athletes}>
              {list.map((athlete) => (
                <Row
                  key={athlete.id}
                  title={athlete.name}
                  detail={describe(athlete)}
                  action={
                    <View className="flex-row gap-2">
                      {manages ? (
                        <Button
                          label={`Remove ${athlete.name}`}
                          short="Remove"
                          look="plain"
                          onPress={() => setChosen(athlete)}
                        />
                      ) : null}
                      <Button
                        label={`Open ${athlete.name}`}
                        icon="onward"
                        iconOnly
                        onPress={() => router.push(`/athlete/${athlete.id}`)}
                      />
                    </View>
                  }
                />
              ))}
            </View>
          )
        }
      </Loaded>
      {making ? (
        <Sheet title="New athlete" onClose={() => setMaking(false)}>
          <NameForm
            label={words.name}
            schema={nameSchema}
            action="Make it and say more"
            send={(name) =>
              create.mutate(
                { name },
                {
                  onSuccess: (made) => {
                    setMaking(false);
                    router.push(`/athlete/${made.id}`);
                  },
                },
              )
            }
            pending={create.isPending}
            failure={create.error?.message ?? null}
          />
        </Sheet>
      ) : null}
      {chosen ? (
        <Sheet title={`Remove ${chosen.name}`} onClose={() => setChosen(null)}>
          <RemoveAthlete athlete={chosen} onDone={() => setChosen(null)} />
        </Sheet>
      ) : null}
    </Screen>
  );
}

function describe({ profile }: Athlete): string {
  const { scales, protectedAreas } = profile;
  return [
    scales.map((s) => s.name).join(", "),
    protectedAreas.length > 0 ? `protect: ${protectedAreas.map((p) => p.area).join(", ")}` : "",
  ]
    .filter(Boolean)
    .join("; ");
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
        Anonymous: the name goes, everywhere and for good, and with it titles, notes and what was attended to;
        starts, warm-ups and the log stay. Deleted: those go too. Neither can be taken back.
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
