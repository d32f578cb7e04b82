import { coldBandOf, windChill } from "../../src/conditions/cold";
import { heatBandOf, wetBulbGlobe } from "../../src/conditions/heat";
import { conditionsOf, settingSchema, usualSetting, weatherOf } from "../../src/conditions/setting";

// Figures of the published tables of either formula.

test.each([
  [20, 50, 19.9],
  [30, 50, 29.2],
  [35, 60, 37.0],
  [25, 30, 21.8],
])("wet-bulb globe temperature at %i °C and %i %% is about %f", (temperature, humidity, globe) => {
  expect(wetBulbGlobe(temperature, humidity)).toBeCloseTo(globe, 0);
});

test.each([
  [0, 20, -5.2],
  [-10, 30, -19.5],
  [-25, 40, -40.8],
  [5, 10, 2.7],
])("wind chill at %i °C and %i km/h is about %f", (temperature, wind, felt) => {
  expect(windChill(temperature, wind)).toBeCloseTo(felt, 0);
});

test("still air, and air that is not cold, feels as it is", () => {
  expect(windChill(-5, 4)).toBe(-5);
  expect(windChill(15, 40)).toBe(15);
});

test("bands by air and humidity; what is not known is no band", () => {
  const band = (temperature: number | null, humidity?: number) => heatBandOf({ temperature, humidity });
  expect([band(null), band(20, 50), band(28, 40), band(29, 50), band(31, 50)]).toEqual([
    "none",
    "none",
    "warm",
    "hot",
    "very-hot",
  ]);
  // Nobody looked: half of what the air can hold.
  expect(band(29)).toBe(band(29, 50));
  const cold = (temperature: number | null, wind: "calm" | "strong" = "calm", indoors = false) =>
    coldBandOf({ indoors, temperature, wind });
  expect([
    cold(null),
    cold(11),
    cold(10),
    cold(0, "strong"),
    cold(-3, "strong"),
    cold(-16, "strong"),
  ]).toEqual(["none", "none", "cool", "cool", "frost", "hard-frost"]);
  expect(cold(-20, "strong", true)).toBe("none");
});

test("humidity needs the temperature; what there is of the weather is copied and nothing else", () => {
  const of = (more: object) => settingSchema.safeParse({ ...usualSetting(), ...more });
  expect(of({ temperature: 20, humidity: 50 }).success).toBe(true);
  expect(of({ temperature: null, humidity: null }).success).toBe(true);
  expect(of({ temperature: null, humidity: 50 }).error?.issues[0]?.path).toEqual(["humidity"]);
  for (const humidity of [-1, 101, 50.5, "50"]) expect(of({ temperature: 20, humidity }).success).toBe(false);
  for (const temperature of [-31, 51, 20.5]) expect(of({ temperature }).success).toBe(false);
  const setting = {
    ...usualSetting(),
    temperature: 30,
    humidity: 40,
    sun: "sun" as const,
    layers: false,
    order: 3,
  };
  expect(weatherOf(setting)).toEqual({
    indoors: true,
    temperature: 30,
    wind: "calm",
    wet: false,
    humidity: 40,
    sun: "sun",
    layers: false,
  });
  expect(conditionsOf({ ...setting, kitReady: ["boots"] } as never)).toEqual({
    ...weatherOf(setting),
    day: 1,
    order: 3,
    people: 1,
  });
});
