import { Minus, Plus } from "lucide-react";
import { type ReactNode, useId } from "react";
import { withUnit } from "@/lib/format";
import { say } from "@/text/say";

export interface FieldProblem {
  message: string;
  hint: string | null;
}

interface Props {
  label: string;
  value: string;
  other?: string | undefined;
  placeholder?: string;
  problem?: FieldProblem | null;
  onChange: (text: string) => void;
  onStep?: (direction: 1 | -1) => void;
  canStep?: boolean;
  inputMode?: "text" | "numeric";
  /** What a number without a unit is taken for, when the field is left. */
  bareUnit?: string;
  /** Words that may be typed as well. */
  suggestions?: string[];
  /** Stands beside the label. */
  aside?: ReactNode;
  /** Stands in place of the other system. */
  beside?: ReactNode;
}

/** A measure typed freely, the other system beside it, and steps for wet hands. */
export function MeasureField(props: Props) {
  const {
    label,
    value,
    other,
    placeholder,
    problem,
    onChange,
    onStep,
    canStep = true,
    inputMode = "text",
    suggestions,
    aside,
    beside,
  } = props;
  const id = useId();
  const trouble = problem ? `${id}-trouble` : undefined;
  return (
    <div className="grid grid-cols-[76px_1fr_auto] items-center gap-x-2">
      <div className="flex items-baseline justify-between gap-1">
        <label htmlFor={id} className="text-pencil">
          {label}
        </label>
        {aside}
      </div>
      <div
        className={`flex min-w-0 items-center rounded-sm border bg-sheet ${problem ? "border-care" : "border-edge"}`}
      >
        <input
          id={id}
          value={value}
          inputMode={inputMode}
          autoComplete="off"
          list={suggestions ? `${id}-words` : undefined}
          placeholder={placeholder}
          aria-invalid={problem ? true : undefined}
          aria-describedby={trouble}
          onChange={(event) => onChange(event.target.value)}
          onBlur={() => complete(props)}
          onKeyDown={(event) => {
            const direction = STEP_KEYS[event.key];
            if (!direction || !onStep || !canStep) return;
            event.preventDefault();
            onStep(direction);
          }}
          className="min-w-0 flex-1 bg-transparent px-2 py-1 font-dial text-[1rem] placeholder:font-sans placeholder:text-[0.875rem] placeholder:text-pencil"
        />
        {suggestions && (
          <datalist id={`${id}-words`}>
            {suggestions.map((word) => (
              <option key={word} value={word} />
            ))}
          </datalist>
        )}
        {onStep && (
          <>
            <StepButton
              label={say("ui-less", { label })}
              disabled={!canStep}
              onClick={() => onStep(-1)}
            >
              <Minus size={15} aria-hidden="true" />
            </StepButton>
            <StepButton
              label={say("ui-more", { label })}
              disabled={!canStep}
              onClick={() => onStep(1)}
            >
              <Plus size={15} aria-hidden="true" />
            </StepButton>
          </>
        )}
      </div>
      {beside ?? (
        <span className="min-w-[68px] whitespace-nowrap text-right text-[0.875rem] text-pencil">
          {other}
        </span>
      )}
      {problem && (
        <p
          id={trouble}
          className="col-span-3 mt-1 border-l-4 border-care pl-2 text-[0.875rem]"
          role="alert"
        >
          <strong className="font-semibold">{problem.message}</strong> {problem.hint}
        </p>
      )}
    </div>
  );
}

/** A number that was left without a unit gets the one in use. */
function complete({ value, bareUnit, onChange }: Props) {
  if (!bareUnit) return;
  const whole = withUnit(value, bareUnit);
  if (whole !== value) onChange(whole);
}

/** The keyboard steps in the field itself; the buttons are for wet hands and need no stop. */
const STEP_KEYS: Record<string, 1 | -1 | undefined> = { ArrowUp: 1, ArrowDown: -1 };

interface StepProps {
  label: string;
  disabled: boolean;
  onClick: () => void;
  children: React.ReactNode;
}

function StepButton({ label, disabled, onClick, children }: StepProps) {
  return (
    <button
      type="button"
      tabIndex={-1}
      aria-label={label}
      disabled={disabled}
      onClick={onClick}
      className="grid h-8 w-7 place-items-center border-l border-rule text-ink hover:bg-rule disabled:opacity-40"
    >
      {children}
    </button>
  );
}
