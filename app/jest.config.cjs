module.exports = {
  displayName: "app",
  preset: "jest-expo/web",
  rootDir: __dirname,
  testMatch: ["<rootDir>/**/*.test.{ts,tsx}"],
  testPathIgnorePatterns: ["/dist/", "/node_modules/"],
  moduleNameMapper: { "^~/(.*)$": "<rootDir>/$1" },
  transformIgnorePatterns: [
    "/node_modules/(?!(@date-fns|zod|uuid|nativewind|react-native-css-interop|((jest-)?react-native|@react-native(-community)?)|expo(nent)?|@expo(nent)?/.*|expo-modules-core|react-native-svg|lucide-react-native|@react-navigation/.*)/?)",
  ],
};
