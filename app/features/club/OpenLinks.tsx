import type { ClubShare } from "@tonodrome/core/api";
import { View } from "react-native";
import { useClubShares, useWithdrawShare } from "~/data/resources/shares";
import { Button } from "~/ui/Button";
import { deviceDay } from "~/ui/dates";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { Section } from "~/ui/layout/Section";

/** Every link to a warm-up that works now, whoever made it: what can be seen of the club from outside. */
export function OpenLinks() {
  const shares = useClubShares();
  const withdraw = useWithdrawShare();
  if (!shares.data || shares.data.length === 0) return null;
  return (
    <Section title="Shared warm-ups">
      {withdraw.error ? <Notice warn text={withdraw.error.message} /> : null}
      <View role="list" aria-label="Shared warm-ups">
        {shares.data.map((share) => (
          <Row
            key={share.id}
            title={`${share.athleteName}, ${share.title}`}
            detail={linkDetail(share)}
            action={
              <Button
                label={`Withdraw the link to ${share.title}`}
                short="Withdraw"
                disabled={withdraw.isPending}
                onPress={() => withdraw.mutate(share.id)}
              />
            }
          />
        ))}
      </View>
    </Section>
  );
}

function linkDetail({ madeBy, expiresAt }: ClubShare): string {
  return [madeBy ? `Made by ${madeBy}` : null, `good until ${deviceDay(expiresAt)}`]
    .filter(Boolean)
    .join(", ");
}
