import { useState } from "react";
import { Text, View } from "react-native";
import { useAthletes } from "~/data/resources/athletes";
import { useCalendars, useMakeCalendar, useWithdrawCalendar } from "~/data/resources/calendars";
import { Button } from "~/ui/Button";
import { deviceDay } from "~/ui/dates";
import { SecretLink } from "~/ui/fields/SecretLink";
import { Select } from "~/ui/fields/Select";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { Screen } from "~/ui/layout/Screen";
import { Section } from "~/ui/layout/Section";
import { words } from "~/ui/words";

/** Private addresses to which a calendar subscribes: what moves here moves there. */
export function CalendarsScreen() {
  const calendars = useCalendars();
  const make = useMakeCalendar();
  const withdraw = useWithdrawCalendar();
  return (
    <Screen title={words.calendars} back="/club">
      <NewAddress make={make} />
      <Section title="Active addresses">
        {withdraw.error ? <Notice warn text={withdraw.error.message} /> : null}
        <Loaded query={calendars}>
          {(list) =>
            list.length === 0 ? (
              <Text className="font-text text-body text-muted">None.</Text>
            ) : (
              <View role="list" aria-label="Active addresses">
                {list.map(({ id, athlete, madeBy, createdAt }) => (
                  <Row
                    key={id}
                    title={athlete?.name ?? EVERYBODY}
                    detail={[madeBy ? `Made by ${madeBy}` : null, deviceDay(createdAt)]
                      .filter(Boolean)
                      .join(", ")}
                    action={
                      <Button
                        label={`Withdraw the calendar of ${athlete?.name ?? EVERYBODY}`}
                        short={words.withdraw}
                        disabled={withdraw.isPending}
                        onPress={() =>
                          withdraw.mutate(id, { onSuccess: () => make.data?.id === id && make.reset() })
                        }
                      />
                    }
                  />
                ))}
              </View>
            )
          }
        </Loaded>
      </Section>
    </Screen>
  );
}

const EVERYBODY = "Everybody";

function NewAddress({ make }: { make: ReturnType<typeof useMakeCalendar> }) {
  const athletes = useAthletes().data ?? [];
  const [of, setOf] = useState("");
  return (
    <View className="gap-3">
      <Text className="font-text text-body text-ink">
        A calendar that subscribes to an address has every day of the starts, calls by itself when to leave
        and when to begin, and follows when a start moves. How soon is up to the calendar: mostly within
        hours. On the day itself look here.
      </Text>
      <Select
        label="Whose days"
        options={[
          { value: "", label: EVERYBODY },
          ...athletes.map((athlete) => ({ value: athlete.id, label: athlete.name })),
        ]}
        value={of}
        onChange={setOf}
      />
      {make.error ? <Notice warn text={make.error.message} /> : null}
      {make.data ? <SecretLink label="Address" path={`/api/calendars/${make.data.token}.ics`} /> : null}
      <Button
        label={make.isPending ? "Making it …" : make.data ? words.makeAnother : "Make an address"}
        look={make.data ? "outline" : "full"}
        disabled={make.isPending}
        onPress={() => make.mutate({ athleteId: of || null })}
      />
    </View>
  );
}
