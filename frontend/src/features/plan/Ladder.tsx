import { RadioGroup } from "radix-ui";
import type { CutOut, Texture } from "@/api/client";
import { say } from "@/text/say";

interface Props {
  cut: CutOut;
  value: Texture;
  onChange: (texture: Texture) => void;
}

/** How soft: a ladder of words that say what one will see. */
export function Ladder({ cut, value, onChange }: Props) {
  return (
    <RadioGroup.Root
      aria-label={say("plan-tenderness")}
      value={value}
      onValueChange={(next) => onChange(next as Texture)}
      className="flex flex-col border-ink border-l-2"
    >
      {cut.ladder.map((step) => (
        <RadioGroup.Item
          key={step.texture}
          value={step.texture}
          className="group relative min-h-6 py-px text-[0.9375rem] leading-tight pl-4 text-left text-pencil data-[state=checked]:text-ink"
        >
          <span
            aria-hidden="true"
            className="absolute top-1.5 -left-[7px] hidden h-3 w-3 rotate-45 bg-ink group-data-[state=checked]:block"
          />
          <span className="group-data-[state=checked]:font-semibold">{step.word}</span>
          <span className="text-[0.8125rem]">: {step.looks}</span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
