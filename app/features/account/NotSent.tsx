import { listOf } from "@tonodrome/core";
import { View } from "react-native";
import { useUnsent } from "~/data/outbox/useUnsent";
import { Notice } from "~/ui/layout/Notice";
import { words } from "~/ui/words";

/** What this device keeps and the server will not take as it is, each with its reason; and what waits for somebody else. */
export function NotSent() {
  const { failures } = useUnsent();
  return (
    <View className="gap-2">
      {failures.map(({ what, sentence, again }, i) => (
        <Notice
          // biome-ignore lint/suspicious/noArrayIndexKey: two may say the same
          key={i}
          warn
          text={`Not on the server: ${what}. ${sentence}`}
          actions={[{ label: words.tryAgain, onPress: again }]}
        />
      ))}
      <WaitingForOthers />
    </View>
  );
}

/** What somebody else made on this device is sent when they sign in again, under no other name. */
export function WaitingForOthers() {
  return useUnsent().others.map(({ name, what }) => (
    <Notice
      key={`${name} ${what.join()}`}
      text={`This device keeps ${listOf(what)} of ${name || "somebody else"}, to be sent when they sign in here again.`}
    />
  ));
}
