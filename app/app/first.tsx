export { FirstScreen as default } from "~/features/first/FirstScreen";
