import { nearestInstant, wallClock } from "@tonodrome/core";
import type { Start } from "@tonodrome/core/api";
import { useState } from "react";
import { Text, View } from "react-native";
import { useShare, useShares, useWithdrawShare } from "~/data/resources/shares";
import { Button } from "~/ui/Button";
import { clockTime, dayName } from "~/ui/dates";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { SecretLink } from "~/ui/fields/SecretLink";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { Section } from "~/ui/layout/Section";
import { words } from "~/ui/words";

/** Links that show this start's warm-up, read-only, to an athlete or a parent without an account. */
export function ShareWarmUp({ start }: { start: Start }) {
  const shares = useShares(start.id);
  const withdraw = useWithdrawShare();
  const share = useShare(start.id);
  const when = (at: string) => `${dayName(at, start.zone, Date.now())} ${clockTime(at, start.zone)}`;
  return (
    <View className="gap-6">
      <NewLink start={start} share={share} when={when} />
      <Section title="Active links">
        {withdraw.error ? <Notice warn text={withdraw.error.message} /> : null}
        <Loaded query={shares}>
          {(list) =>
            list.length === 0 ? (
              <Text className="font-text text-body text-muted">None.</Text>
            ) : (
              <View role="list" aria-label="Links">
                {list.map((link) => (
                  <Row
                    key={link.id}
                    title={`Made ${when(link.createdAt)}`}
                    detail={`Works until ${when(link.expiresAt)}`}
                    action={
                      <Button
                        label={words.withdraw}
                        disabled={withdraw.isPending}
                        onPress={() =>
                          withdraw.mutate(link.id, {
                            onSuccess: () => share.data?.id === link.id && share.reset(),
                          })
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
    </View>
  );
}

interface NewLinkProps {
  start: Start;
  /** The link that is made here, and shown as long as it works. */
  share: ReturnType<typeof useShare>;
  when: (at: string) => string;
}

function NewLink({ start, share, when }: NewLinkProps) {
  const [until, setUntil] = useState<"day" | "time">("day");
  const [day, setDay] = useState(wallClock(start.startsAt, start.zone).date);
  if (share.data) {
    return (
      <View className="gap-3">
        <Notice
          text={`Whoever holds this link sees the warm-up as it stands, until ${when(share.data.expiresAt)}. It shows no notes on health.`}
        />
        <SecretLink label="Link" path={`/shared/${share.data.token}`} />
        <Button label={words.makeAnother} onPress={() => share.reset()} />
      </View>
    );
  }
  return (
    <View className="gap-3">
      <Text className="font-text text-body text-muted">
        A link shows this warm-up, the day around it and its lists to whoever holds it, without an account,
        and follows every change. What is on the lists can be ticked by it; nothing else can be changed.
      </Text>
      <Choice
        label="Link works for"
        options={[
          { value: "day", label: "Until the day is over" },
          { value: "time", label: "Until another day" },
        ]}
        value={until}
        onChange={setUntil}
      />
      {until === "time" ? (
        <Field label="Last day" type="date" value={day} onChange={(e) => setDay(e.currentTarget.value)} />
      ) : null}
      {share.error ? <Notice warn text={share.error.message} /> : null}
      <Button
        label={share.isPending ? "Making it …" : "Make a link"}
        icon="share"
        look="full"
        disabled={share.isPending || (until === "time" && day === "")}
        onPress={() => share.mutate(until === "day" ? "day" : endOfWallDay(day, start.zone))}
      />
    </View>
  );
}

/** The last minute of a calendar day at the venue. */
function endOfWallDay(date: string, zone: string): string {
  return nearestInstant("23:59", zone, `${date}T12:00:00.000Z`);
}
