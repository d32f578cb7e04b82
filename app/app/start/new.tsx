export { NewStartScreen as default } from "~/features/start-form/NewStartScreen";
