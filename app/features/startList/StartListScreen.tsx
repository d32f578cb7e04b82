import { Text, View } from "react-native";
import { useMay } from "~/data/account/useAccount";
import { Button } from "~/ui/Button";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { ChooseList } from "./ChooseList";
import { ListPreview } from "./ListPreview";
import { type ListFile, useListFile } from "./useListFile";

/** Brings a start list in: from a file or a text to its columns, what would become of each row, and one press. */
export function StartListScreen() {
  const mayBuild = useMay("build");
  const { file, takeText, takeFile, read, drop } = useListFile();
  return (
    <Screen title={words.startList} back="/">
      {mayBuild ? (
        <>
          {file ? <Chosen file={file} onDrop={drop} /> : <ChooseList onFile={takeFile} onText={takeText} />}
          {file?.table && file.reading ? (
            <ListPreview table={file.table} reading={file.reading} onReading={read} />
          ) : null}
        </>
      ) : (
        <Notice text="Coaches import start lists." />
      )}
    </Screen>
  );
}

/** What is read, and what keeps it from being read. */
function Chosen({ file, onDrop }: { file: ListFile; onDrop: () => void }) {
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap items-center gap-2">
        <Text className="min-w-40 flex-1 font-strong text-body text-ink" numberOfLines={1}>
          {file.name}
        </Text>
        <Button label="Another" onPress={onDrop} />
      </View>
      {file.faults.slice(0, MOST_TOLD).map((fault) => (
        <Notice key={`${fault.line} ${fault.message}`} warn text={`Line ${fault.line}: ${fault.message}`} />
      ))}
      {file.faults.length > MOST_TOLD ? (
        <Text className="font-text text-body text-ink">
          And {file.faults.length - MOST_TOLD} more. Nothing of it is taken.
        </Text>
      ) : null}
    </View>
  );
}

const MOST_TOLD = 5;
