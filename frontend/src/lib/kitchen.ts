/** The settings of a kitchen, to choose from. */

export const UNITS = [
  { value: "metric", name: "kg, cm, ml, °C" },
  { value: "us", name: "lb, in, cups, °F" },
];

export const LOCALES = [
  { value: "en-US", name: "American" },
  { value: "en-GB", name: "British" },
];
