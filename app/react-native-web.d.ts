import "react-native";

// What the web has besides: attributes of the page, `data-…`.
declare module "react-native" {
  interface ViewProps {
    dataSet?: Record<string, string>;
  }
  interface TextProps {
    dataSet?: Record<string, string>;
  }
}
