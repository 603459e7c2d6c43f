import { say } from "@/text/say";
/** The settings of a kitchen, to choose from. */

export const unitChoices = () => [
  { value: "metric", name: say("shared-kg-cm-ml-c") },
  { value: "us", name: say("shared-lb-in-cups-f") },
];

export const localeChoices = () => [
  { value: "en-US", name: say("shared-american") },
  { value: "en-GB", name: say("shared-british") },
];
