import { useLocation } from "wouter";
import { type Extra, type Marinade, type PlanIn, type RecipeCard, troubleOf } from "@/api/client";
import { type Begin, useBegin } from "@/api/cooks";
import { say } from "@/text/say";
import { Button } from "@/ui/Button";

interface Props {
  name: string;
  plan: PlanIn;
  recipe?: RecipeCard;
  extras?: Extra[];
  rubbed?: boolean;
  rubMin?: Begin["rub_min"];
  crackling?: boolean;
  pulledFirst?: boolean;
  searMin?: number | null;
  marinade?: Marinade | null;
  marinateMin?: Begin["marinate_min"];
  /** What stands here has no answer yet. */
  wait?: boolean;
}

/** Straight to the pot with what stands here, by hand; the simulated pot is put beside it there. */
export function CookNow(props: Props) {
  const { name, plan, recipe, extras = [], marinade = null, wait = false } = props;
  const {
    rubbed = false,
    rubMin = null,
    crackling = false,
    pulledFirst = false,
    searMin = null,
    marinateMin = null,
  } = props;
  const begin = useBegin();
  const [, navigate] = useLocation();
  const trouble = begin.error ? troubleOf(begin.error) : null;
  return (
    <>
      <Button
        disabled={begin.isPending || wait}
        onClick={() =>
          begin.mutate(
            {
              name: name.slice(0, 120),
              plan,
              connected: false,
              recipe: recipe ?? null,
              extras,
              rubbed,
              rub_min: rubMin,
              crackling,
              pulled_first: pulledFirst,
              sear_min: searMin,
              marinade,
              marinate_min: marinateMin,
            },
            { onSuccess: (cook) => navigate(`/cook?cook=${cook.id}`) },
          )
        }
      >
        {say("shared-start-cooking")}
      </Button>
      {trouble && (
        <span role="alert" className="text-care text-[0.875rem]">
          {trouble.message} {trouble.hint}
        </span>
      )}
    </>
  );
}
