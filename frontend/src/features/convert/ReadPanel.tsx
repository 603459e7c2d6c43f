import type { ConvertedOut, KeptPotOut, Problem, SourceMethod, Texture } from "@/api/client";
import { useCatalogue, useUnits } from "@/api/queries";
import type { Answers, Draft } from "@/features/convert/draft";
import { METHOD_WORDS, namesOf } from "@/lib/words";
import { say } from "@/text/say";
import { SelectField } from "@/ui/SelectField";
import { TextField } from "@/ui/TextField";

interface Props {
  draft: Draft;
  pots: KeptPotOut[];
  understood: ConvertedOut["understood"] | undefined;
  /** Ingredients whose place is not sure. */
  inDoubt: number;
  problem: Problem | null;
  onChange: (draft: Draft) => void;
}

type Understood = ConvertedOut["understood"];

/** What was read of the recipe, in one place: what was not is asked for, with the guess shown. */
export function ReadPanel({ draft, pots, understood, inDoubt, problem, onChange }: Props) {
  const { choices } = draft;
  const answer = (part: Partial<Answers>) =>
    onChange({ ...draft, answers: { ...draft.answers, ...part } });
  const asked = new Map<string, string>();
  for (const question of understood?.questions ?? []) asked.set(question.asked, question.guess);
  const fields = { answers: draft.answers, understood, asked, answer };
  return (
    <section
      aria-label={say("convert-what-was-read")}
      className="mt-2 border-rule border-y py-2 print:hidden"
    >
      <Questions draft={draft} understood={understood} inDoubt={inDoubt} />
      <div className="grid grid-cols-2 items-end gap-x-3 gap-y-1.5 sm:grid-cols-3 lg:grid-cols-5">
        <MeatFields {...fields} problem={problem} />
        <MethodFields {...fields} />
        <TextField
          label={say("convert-servings")}
          value={choices.plates ? String(choices.plates) : ""}
          placeholder={understood?.plates ? String(understood.plates) : say("convert-as-it-is")}
          onChange={(value) =>
            onChange({ ...draft, choices: { ...choices, plates: whole(value, 200) } })
          }
        />
        <SelectField
          label={say("convert-in-the-cooker")}
          value={draft.pot}
          options={pots.map((kept) => ({ value: kept.id, name: kept.pot.name }))}
          onChange={(pot) => onChange({ ...draft, pot })}
        />
      </div>
    </section>
  );
}

function Questions({
  draft,
  understood,
  inDoubt,
}: Pick<Props, "draft" | "understood" | "inDoubt">) {
  const questions = understood?.questions ?? [];
  const ingredients = draft.recipe.ingredients.length;
  const steps = draft.recipe.steps.length;
  const unread = understood?.unread.length ?? 0;
  return (
    <p className="mb-1 text-[0.875rem]" data-testid="questions">
      {understood && (
        <span>
          {say("convert-ingredient-and-step-were-read", {
            ingredients,
            steps,
            unread,
          })}{" "}
        </span>
      )}
      {questions.length > 0 && (
        <strong className="font-semibold">
          {say("convert-not-in-the-recipe-until-you", {
            questions: questions.length,
            assumed: questions.map((item) => `${item.text} ${item.guess}.`).join(" "),
          })}
        </strong>
      )}
      {inDoubt > 0 && (
        <strong className="font-semibold"> {say("convert-places-in-doubt", { inDoubt })}</strong>
      )}
    </p>
  );
}

interface FieldProps {
  answers: Answers;
  understood: Understood | undefined;
  /** What is asked, and the guess. */
  asked: Map<string, string>;
  answer: (part: Partial<Answers>) => void;
}

function MeatFields(props: FieldProps & { problem: Problem | null }) {
  const { answers, understood, asked, answer, problem } = props;
  const units = useUnits();
  const cuts = useCatalogue().data?.cuts ?? [];
  const trouble = (field: string) =>
    problem?.field === field ? `${problem.message} ${problem.hint ?? ""}` : null;
  return (
    <>
      <Asked on={asked.has("cut")}>
        <SelectField
          label={say("convert-cut")}
          value={answers.cut ?? understood?.cut ?? ""}
          options={cuts.map((item) => ({ value: item.id, name: item.name }))}
          onChange={(cut) => answer({ cut })}
        />
      </Asked>
      <Asked on={asked.has("mass")}>
        <TextField
          label={say("convert-weight")}
          value={answers.mass ?? ""}
          placeholder={guessed(asked.has("mass"), understood?.mass_shown[units])}
          trouble={trouble("mass")}
          onChange={(value) => answer({ mass: value || null })}
        />
      </Asked>
      <Asked on={asked.has("thickness")}>
        <TextField
          label={say("convert-thickness")}
          value={answers.thickness ?? ""}
          placeholder={guessed(
            asked.has("thickness"),
            understood?.thickness_shown?.[units] ?? asked.get("thickness"),
          )}
          trouble={trouble("thickness")}
          onChange={(value) => answer({ thickness: value || null })}
        />
      </Asked>
      <TextField
        label={say("convert-pieces")}
        value={answers.count ? String(answers.count) : ""}
        placeholder={String(understood?.count ?? "")}
        onChange={(value) => answer({ count: whole(value, 60) })}
      />
      <SelectField
        label={say("convert-bone")}
        value={boneWord(answers.bone ?? understood?.bone)}
        options={bones()}
        onChange={(value) => answer({ bone: value === "" ? null : value === "in" })}
      />
    </>
  );
}

/** The guess with a question mark, or what was read. */
function guessed(asked: boolean, shown: string | undefined): string {
  return asked && shown ? `${shown}?` : (shown ?? "");
}

function MethodFields({ answers, understood, asked, answer }: FieldProps) {
  const cuts = useCatalogue().data?.cuts ?? [];
  const cut = cuts.find((item) => item.id === (answers.cut ?? understood?.cut));
  const steps = (cut?.ladder ?? []).map((step) => ({ value: step.texture, name: step.looks }));
  return (
    <>
      <Asked on={asked.has("method")}>
        <SelectField
          label={say("convert-original-method")}
          value={answers.method ?? understood?.method ?? ""}
          options={methods()}
          onChange={(value) => answer({ method: value ? (value as SourceMethod) : null })}
        />
      </Asked>
      <Asked on={asked.has("method_minutes")}>
        <TextField
          label={say("convert-minutes")}
          value={answers.method_minutes ? String(answers.method_minutes) : ""}
          placeholder={minutesOf(understood)}
          onChange={(value) => answer({ method_minutes: whole(value, 2000) })}
        />
      </Asked>
      <Asked on={asked.has("texture")}>
        <SelectField
          label={say("convert-tenderness")}
          value={answers.texture ?? understood?.texture ?? ""}
          options={steps}
          onChange={(value) => answer({ texture: value as Texture })}
        />
      </Asked>
    </>
  );
}

function Asked({ on, children }: { on: boolean; children: React.ReactNode }) {
  return <div className={on ? "border-care border-l-4 pl-1.5" : ""}>{children}</div>;
}

function whole(text: string, most: number): number | null {
  const digits = text.replace(/\D/g, "");
  return digits ? Math.min(Math.max(Number(digits), 1), most) : null;
}

function boneWord(bone: boolean | null | undefined): string {
  if (bone === null || bone === undefined) return "";
  return bone ? "in" : "out";
}

function minutesOf(understood: Understood | undefined): string {
  if (!understood || understood.method_low_min === null) return say("convert-not-given");
  const { method_low_min: low, method_high_min: high } = understood;
  return low === high ? String(low) : `${low}–${high}`;
}

const bones = () => [
  { value: "", name: say("convert-usual") },
  { value: "in", name: say("convert-bone-in") },
  { value: "out", name: say("convert-boneless") },
];

const methods = () => [{ value: "", name: say("convert-not-given") }, ...namesOf(METHOD_WORDS)];
