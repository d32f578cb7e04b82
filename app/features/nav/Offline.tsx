import { useEffect } from "react";
import { Text } from "react-native";
import { askTime } from "~/data/client/api";

/** How often it is asked whether the server is in reach again, milliseconds. Custom. */
const ASK_AGAIN = 5_000;

/** That there is no connection, and what that means for what one does. */
export function Offline() {
  useEffect(() => {
    const ask = () => void askTime().catch(() => undefined);
    const timer = setInterval(ask, ASK_AGAIN);
    window.addEventListener("online", ask);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", ask);
    };
  }, []);
  return (
    <Text role="status" className="bg-tone-2 px-4 py-2 font-text text-small text-on-tone-2" testID="offline">
      No connection. You see what was read last. What you change in starts, warm-ups, days, lists and runs is
      kept here and sent later; anything else waits for the connection.
    </Text>
  );
}
