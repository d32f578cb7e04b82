import { accountDeletionSchema } from "@tonodrome/core/api";
import { Text, View } from "react-native";
import { useDeleteAccount } from "~/data/resources/door";
import { NameForm } from "~/ui/fields/NameForm";

/** The end of one's account, which asks for the password so that it is never a slip. */
export function DeleteAccount() {
  const remove = useDeleteAccount();
  return (
    <View className="gap-3">
      <Text className="font-text text-body text-ink">
        Your name, your address and your sign-in are deleted for good. What you made in a club stays there; a
        club that nobody else is in goes with you. Where you are the only owner, make somebody else one first.
      </Text>
      <NameForm
        label="Your password"
        secret
        schema={accountDeletionSchema.shape.password}
        action="Delete my account for good"
        look="outline"
        send={(password) => remove.mutate(password)}
        pending={remove.isPending}
        failure={remove.error?.message ?? null}
      />
    </View>
  );
}
