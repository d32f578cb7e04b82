import { Text, View } from "react-native";
import { Button } from "~/ui/Button";
import { Icon } from "~/ui/Icon";
import { Unbroken } from "~/ui/Unbroken";

export interface NoticeProps {
  text: string;
  /** A warning carries a mark; plain news does not. */
  warn?: boolean;
  actions?: readonly { label: string; onPress: () => void }[];
}

/** One thing to know, where it matters, with what can be done about it. */
export function Notice({ text, warn, actions = [] }: NoticeProps) {
  return (
    <View role={warn ? "alert" : "status"} className="gap-2 border-l-4 border-ink bg-tone-1 p-3">
      <View className="flex-row items-start gap-2">
        {warn ? <Icon name="warn" size={22} color="on-tone-1" /> : null}
        <Text className="flex-1 font-text text-body text-on-tone-1">
          <Unbroken text={text} />
        </Text>
      </View>
      {actions.length > 0 ? (
        <View className="flex-row flex-wrap gap-2">
          {actions.map((a) => (
            <Button key={a.label} label={a.label} onPress={a.onPress} />
          ))}
        </View>
      ) : null}
    </View>
  );
}
