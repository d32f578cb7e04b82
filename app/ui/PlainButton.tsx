import type { ButtonHTMLAttributes } from "react";

/**
 * The browser's own button, for what is drawn often: it costs a tenth of the shared parts'. Its place for Tab is said, because a
 * sheet that closes and hands the focus back takes it from whatever does not say so (react-native-web, `UIManager.focus`).
 */
export function PlainButton(props: ButtonHTMLAttributes<HTMLButtonElement>) {
  return <button type="button" tabIndex={0} {...props} />;
}
