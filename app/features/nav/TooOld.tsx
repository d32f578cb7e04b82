import { useEffect, useState } from "react";
import { View } from "react-native";
import { takeNewest } from "~/data/client/release";
import { useTooOld } from "~/data/client/useRelease";
import { everythingUnsent } from "~/data/outbox/unsent";
import { Notice } from "~/ui/layout/Notice";

/** How often it is looked whether everything is sent, milliseconds. */
const LOOK = 2_000;

/** What a page says that is older than the server serves: to reload, once nothing of it is unsent. It works until then. */
export function TooOld() {
  return useTooOld() ? <Reload /> : null;
}

function Reload() {
  const [unsent, setUnsent] = useState(everythingUnsent);
  useEffect(() => {
    const timer = setInterval(() => setUnsent(everythingUnsent()), LOOK);
    return () => clearInterval(timer);
  }, []);
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
