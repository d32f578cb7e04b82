export { StartListScreen as default } from "~/features/startList/StartListScreen";
