import { zodResolver } from "@hookform/resolvers/zod";
import { GENERAL_STARTER, type Starter } from "@tonodrome/core/api";
import { Link, useRouter } from "expo-router";
import { Controller, useForm } from "react-hook-form";
import { Text, View } from "react-native";
import { useStarters } from "~/data/resources/starters";
import { timeFault } from "~/features/starts/form/startForm";
import { Button } from "~/ui/Button";
import { deviceZone } from "~/ui/dates";
import { Field } from "~/ui/fields/Field";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { type FirstForm, firstFormAt, firstFormSchema } from "./firstForm";
import { SportTiles } from "./SportTiles";
import { useFirstStart } from "./useFirstStart";

/** What is coached and who starts next, on one page: one press ends at a warm-up that is filled and fitted. */
export function FirstScreen() {
  const starters = useStarters();
  return (
    <Screen title="Your first warm-up">
      <Loaded query={starters}>{(list) => <First starters={list} />}</Loaded>
    </Screen>
  );
}

function First({ starters }: { starters: readonly Starter[] }) {
  const router = useRouter();
  const first = useFirstStart(starters);
  const form = useForm<FirstForm>({
    resolver: zodResolver(firstFormSchema),
    defaultValues: firstFormAt(Date.now(), deviceZone()),
  });
  const { errors } = form.formState;
  const submit = form.handleSubmit((filled) => {
    const fault = timeFault({ ...filled, zone: deviceZone() }, Date.now());
    if (fault) form.setError("time", { message: fault }, { shouldFocus: true });
    else first.mutate(filled, { onSuccess: ({ id }) => router.replace(`/start/${id}?fill=first`) });
  });
  return (
    <form className="flex flex-col gap-6" onSubmit={submit} noValidate>
      <Controller
        control={form.control}
        name="sports"
        render={({ field }) => (
          <SportTiles
            starters={starters.filter((s) => s.key !== GENERAL_STARTER)}
            values={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <View className="gap-4">
        <Text role="heading" aria-level={2} className="font-strong text-lead text-ink">
          Who starts next?
        </Text>
        <Field
          label={words.athlete}
          autoComplete="off"
          error={errors.athlete?.message}
          {...form.register("athlete")}
        />
        <View className="flex-row gap-3">
          <View className="flex-1">
            <Field label={words.day} type="date" error={errors.date?.message} {...form.register("date")} />
          </View>
          <View className="flex-1">
            <Field label={words.start} type="time" error={errors.time?.message} {...form.register("time")} />
          </View>
        </View>
      </View>
      {first.error ? <Notice warn text={`${first.error.message} What you filled in is still here.`} /> : null}
      <View className="gap-2">
        <Button
          label={first.isPending ? "Building it …" : words.buildTheWarmUp}
          look="full"
          disabled={first.isPending}
          onPress={() => void submit()}
        />
        <Link href="/" className="flex min-h-press items-center justify-center">
          <Text className="font-strong text-body text-press underline">Later, straight to Today</Text>
        </Link>
      </View>
    </form>
  );
}
