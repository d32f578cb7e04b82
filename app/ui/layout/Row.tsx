import { type Href, Link } from "expo-router";
import type { ReactNode } from "react";
import { Text, View } from "react-native";
import { Icon } from "~/ui/Icon";
import { Unbroken } from "~/ui/Unbroken";

interface RowProps {
  title: string;
  detail?: string | undefined;
  action?: ReactNode;
  /** For a sentence rather than a name: shown whole. */
  whole?: boolean;
}

/** One line of a list: what, a word more, and what can be done with it. */
export function Row({ title, detail, action, whole }: RowProps) {
  return (
    <View role="listitem" className="flex-row items-center gap-3 border-t-2 border-line py-2">
      <View className="min-w-0 flex-1">
        <Text
          className={`${whole ? "font-text" : "font-strong"} text-body text-ink`}
          numberOfLines={whole ? 0 : 2}
        >
          {title}
        </Text>
        {detail ? (
          <Text className="font-text text-small text-muted">
            <Unbroken text={detail} />
          </Text>
        ) : null}
      </View>
      {action}
    </View>
  );
}

/** A line that leads on. */
export function LinkRow({ href, title, detail }: { href: Href; title: string; detail?: string }) {
  return (
    <View role="listitem" className="border-t-2 border-line">
      <Link href={href} className="flex w-full py-2">
        <View className="min-h-press w-full flex-row items-center gap-3">
          <View className="flex-1">
            <Text className="font-strong text-body text-ink">{title}</Text>
            {detail ? (
              <Text className="font-text text-small text-muted">
                <Unbroken text={detail} />
              </Text>
            ) : null}
          </View>
          <Icon name="onward" size={22} color="muted" />
        </View>
      </Link>
    </View>
  );
}
