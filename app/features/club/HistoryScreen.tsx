import { View } from "react-native";
import { useAudit } from "~/data/resources/club";
import { Button } from "~/ui/Button";
import { deviceMoment } from "~/ui/dates";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Row } from "~/ui/layout/Row";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { deedWords } from "./deedWords";

/** Who changed what in the club, newest first. */
export function HistoryScreen() {
  const audit = useAudit();
  return (
    <Screen title={words.history} back="/club">
      <Loaded query={audit}>
        {({ pages }) => {
          const entries = pages.flatMap((p) => p.entries);
          if (entries.length === 0) return <Notice text="Nothing has been changed yet." />;
          return (
            <View role="list">
              {entries.map((entry) => (
                <Row key={entry.id} title={deedWords(entry)} whole detail={deviceMoment(entry.at)} />
              ))}
            </View>
          );
        }}
      </Loaded>
      {audit.hasNextPage ? (
        <Button
          label="Older"
          disabled={audit.isFetchingNextPage}
          onPress={() => void audit.fetchNextPage()}
        />
      ) : null}
    </Screen>
  );
}
