export { SignUpScreen as default } from "~/features/account/SignUpScreen";
