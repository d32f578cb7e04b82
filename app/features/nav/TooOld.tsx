import { View } from "react-native";
import { takeNewest } from "~/data/client/release";
import { useTooOld } from "~/data/client/useRelease";
import { useUnsent } from "~/data/outbox/useUnsent";
import { Notice } from "~/ui/layout/Notice";

/** What a page says that is older than the server serves: to reload, once nothing of it is unsent. It works until then. */
export function TooOld() {
  return useTooOld() ? <Reload /> : null;
}

function Reload() {
  const { unsent } = useUnsent();
  return (
    <View className="px-2 pt-2">
      {unsent.length > 0 ? (
        <Notice text="There is a new version. Everything here is sent first; then reload." />
      ) : (
        <Notice
          warn
          text="There is a new version, and this page is too old for it. Nothing is lost by reloading."
          actions={[{ label: "Reload", onPress: () => void takeNewest() }]}
        />
      )}
    </View>
  );
}
