import { zodResolver } from "@hookform/resolvers/zod";
import { type Athlete, USUAL_AVAILABLE_MINUTES } from "@tonodrome/core/api";
import { useRouter } from "expo-router";
import { Controller, useForm } from "react-hook-form";
import { Text, View } from "react-native";
import { useNow } from "~/data/client/useNow";
import { useAthletes, useCreateAthlete } from "~/data/resources/athletes";
import { useCreateStart } from "~/data/resources/starts";
import { Amount } from "~/features/fields/fields";
import { Button } from "~/ui/Button";
import { deviceZone } from "~/ui/dates";
import { Choice } from "~/ui/fields/Choice";
import { Field } from "~/ui/fields/Field";
import { Loaded } from "~/ui/layout/Loading";
import { Notice } from "~/ui/layout/Notice";
import { Screen } from "~/ui/layout/Screen";
import { words } from "~/ui/words";
import { EventChoice } from "./EventChoice";
import { type StartForm, soonAt, startFormSchema, startInputOf, timeFault, timeNews } from "./startForm";
import { ZoneField } from "./ZoneField";

const NEW = "new";

/** Makes a start, and goes on to build its warm-up. */
export function NewStartScreen() {
  const athletes = useAthletes();
  const router = useRouter();
  return (
    <Screen
      title={words.newStart}
      back="/"
      action={<Button label={words.startList} onPress={() => router.push("/start/list")} />}
    >
      <Loaded query={athletes}>{(list) => <NewStart athletes={list} />}</Loaded>
    </Screen>
  );
}

function NewStart({ athletes }: { athletes: Athlete[] }) {
  const router = useRouter();
  const now = useNow(10_000);
  const createAthlete = useCreateAthlete();
  const createStart = useCreateStart();
  const form = useForm<StartForm>({
    resolver: zodResolver(startFormSchema),
    defaultValues: firstValues(athletes),
  });
  const { errors } = form.formState;
  const athleteId = form.watch("athleteId");
  const [date, time, zone] = form.watch(["date", "time", "zone"]);
  const news = timeNews({ date, time, zone }, now);

  const submit = form.handleSubmit(async (filled) => {
    const fault = timeFault(filled, Date.now());
    if (fault) {
      form.setError("time", { message: fault }, { shouldFocus: true });
      return;
    }
    try {
      const athlete = filled.athleteId || (await createAthlete.mutateAsync({ name: filled.newAthlete })).id;
      // A second try after a failure must not make the athlete again.
      form.setValue("athleteId", athlete);
      const start = await createStart.mutateAsync(startInputOf(filled, athlete));
      router.replace(`/start/${start.id}`);
    } catch {
      // Said below by the mutation that failed; what was filled in stays.
    }
  });
  const failure = createAthlete.error ?? createStart.error;

  return (
    <View className="gap-4">
      <View className="gap-2">
        <Text className="font-strong text-body text-ink">{words.athlete}</Text>
        <Choice
          label={words.athlete}
          options={[
            ...athletes.map((a) => ({ value: a.id, label: a.name })),
            { value: NEW, label: "Someone new" },
          ]}
          value={athleteId === "" ? NEW : athleteId}
          onChange={(id) => form.setValue("athleteId", id === NEW ? "" : id)}
        />
        {athleteId === "" ? (
          <Field
            label="Their name"
            autoComplete="off"
            error={errors.newAthlete?.message}
            {...form.register("newAthlete")}
          />
        ) : null}
      </View>
      <Field
        label={words.event}
        placeholder="Free skate, round 2, final …"
        error={errors.title?.message}
        {...form.register("title")}
      />
      <Controller
        control={form.control}
        name="eventId"
        render={({ field }) => (
          <EventChoice eventId={field.value || null} onChange={(id) => field.onChange(id ?? "")} />
        )}
      />
      <Field label={words.venue} error={errors.venue?.message} {...form.register("venue")} />
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Field label={words.day} type="date" error={errors.date?.message} {...form.register("date")} />
        </View>
        <View className="flex-1">
          <Field
            label={words.start}
            type="time"
            error={errors.time?.message}
            hint={news.past ? "This time has passed." : news.hint}
            {...form.register("time")}
          />
        </View>
      </View>
      <ZoneField error={errors.zone?.message} {...form.register("zone")} />
      <Controller
        control={form.control}
        name="minutes"
        render={({ field }) => (
          <Amount
            label="Time available before it"
            value={field.value}
            {...{ least: 0, most: 720, step: 5 }}
            show={(n) => `${n} min`}
            onChange={field.onChange}
          />
        )}
      />
      {failure ? <Notice warn text={`${failure.message} What you filled in is still here.`} /> : null}
      <Button
        label={form.formState.isSubmitting ? "Making it …" : "Make it and build the warm-up"}
        look="full"
        disabled={form.formState.isSubmitting}
        onPress={() => void submit()}
      />
    </View>
  );
}

/** An hour from now, on a round five minutes, where the device is. */
function firstValues(athletes: Athlete[]): StartForm {
  const zone = deviceZone();
  return {
    athleteId: athletes[0]?.id ?? "",
    newAthlete: "",
    title: "",
    venue: "",
    zone,
    ...soonAt(Date.now(), zone),
    minutes: USUAL_AVAILABLE_MINUTES,
    eventId: "",
  };
}
