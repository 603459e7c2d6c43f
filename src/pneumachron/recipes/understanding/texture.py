"""How soft a recipe wants its meat, by the words it uses."""

import re

from pneumachron.core.physics.tenderness import Texture
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.patterns import any_of

_BONE = r"\b(bones?|blade( bone)?)"
_INSIDE = r"(inside|internal|in the (middle|cent(er|re)|thickest))"
_WORDS: tuple[tuple[Texture, re.Pattern[str]], ...] = (
    (
        "falls",
        any_of(
            r"\b(fall|drop)(s|ing)?[- ](apart|off|from|to (bits|pieces|shreds))",
            r"\bfell (apart|off)",
            rf"{_BONE} (\w+ )?(pulls?|slips?|comes?|twists?|slides?|lifts?|wiggles?) "
            r"((right|clean|straight|easily) )?(out|free|away|clean)\b",
            r"\bpull (a|the) bone (right |clean |straight )?(out|free)\b",
            r"\bpull (off |out )?(a|one) bone\b",
            r"\b(com(es?|ing)|drops?|slips?|slid(e|es|ing)|pulls?) (straight |clean |right |away )*"
            r"(off|from) the bones?\b",
            r"\b(until|till|til) (it|they) pulls?\b",
            r"\bshred",
            r"\bpull[- ]apart\b|\beasy to pull\b|\bpull (in)?to (strands|shreds|chunks)",
            r"\b(rip|break|mash|separate|chop)\w* (up )?(it |them |the meat )?(up )?"
            r"(roughly|with (two|2) forks|with a (wooden )?spoon)",
            r"\btwo forks to (separate|shred|pull)\b|\bmash it up\b",
            rf"{_BONE} (\w+ )?(twists?|turns? easily)\b|\btwist (the|a) bone\b",
            r"\bbones? (are |is )?loose\b|\bloose at the bones?\b",
            r"\bcomes? off clean|\bpulls? off in\b|\bbarely cling|\b(is|are|be) falling\b",
            r"\b(in)?to (threads|strands|bits)\b|\bstrands\b|\bseparates? easily\b",
            r"\b(vom|von den) knochen\b|\bauseinander|\b(ge)?zupf|\bzerteil",
            r"\bzerf(ä|ae)ll\w*|\bzerpfl(ü|ue)ck\w*",
            r"\b(pulls?|comes?|breaks?|tears?) (easily )?apart\b",
            r"\bpulled\b(?! (back|from|out|off))",
            r"\bpull (it|them|with|(the |your )?(meat|pork|beef|brisket|shoulder|butt))\b",
            r"\b(can|could) pull (it|them)\b|\b(ready|soft enough) (for|to) pull",
            r"\bpulls (easily|clean)",
            r"(?<!onions )\bcollapse",
            r"\bpull\.",
            r"\bflakes?\b(?! of| salt|d)|\bcrumbles? (it |the meat )?with\b",
            r"\b(torn?|tear(s|ing)?) (it |them |the meat )?(in)?to (strands|chunks|shreds|pieces)",
            r"\bwithout a fight\b",
        ),
    ),
    (
        "very",
        any_of(
            r"\b(very,?|really|completely|extremely|super|so|utterly|beautifully) (tender|soft)\b",
            r"\b(no knife needed|need (a|no) knife|without a knife)\b",
            r"\bmelts?[- ]in[- ](the|your)[- ]mouth\b|\bunctuous\b|\blike pudding\b",
            r"\bbuttery\b|\b(jelly|pudding)[- ]soft\b|\bdissolv(es|ing)\b|\bmelts? away\b",
            r"\b(side|edge) of a fork\b|\bcuts? with a fork\b|\bwith a fork only\b",
            r"\b(collagen|tissue|gristle)( has| have)? melt",
            r"\bsoft as (anything|pudding)\b|\bsticky and soft\b|\bbutterweich\b",
            r"\b(until|till|til) they bend",
            rf"\b20[0-8] ?°? ?F?\b.{{0,12}}{_INSIDE}",
            rf"\b9[3-7] ?°? ?C?\b.{{0,12}}{_INSIDE}",
            r"\binternal temp\w*\.? (of |is |reads |reaches )*(\d{3} ?(-|–|to) ?)?"
            r"(20[0-8]|9[3-7])\b",
            r"\bspoon[- ](soft|tender)|\b(with a spoon|spoon cuts|spoon goes)\b|\bspoonable\b",
            "meltingly",
            r"\bmelting (?!the )|\bmelts in\b",
            r"\bbutter[- ]soft|\bsoft as butter|\bgelatinous\b",
            "silky",
        ),
    ),
    (
        "tender",
        any_of(
            "fork[- ]tender|knife[- ]tender",
            r"\b(tender|zart|weich|m(ü|ue)rbe?)\b",
            r"\bfork[- ]soft\b|\byielding\b|\bbones? (show|stick|move|should move)",
            r"\b(a|the) bone (should |will )?moves?\b|\bmove the bones\b|\bit (should )?moves?\b",
            r"\bput a (fork|skewer|knife) through\b|\bfork (should )?(twist|turn)s?\b",
            r"\btwist a fork\b|\bshrunk from\b|\bmeat softens\b",
            r"^(?!.*\b(onions?|vegetables?|garlic|carrots?|butter|sugar|fruit|shallots?|leeks?)\b)"
            r".*\b(until|till|til) (\w+ ){0,2}soft\b",
            r"\bgives (when|under)\b|\bgives? way to\b",
            r"\b(meat|pork|beef|it|they|joint|roast) (is|are|should be|feels?) soft\b",
            r"\b(bend|flex|droop)\w*\b(?! the\b)",
            r"\b(fork|knife|skewer|probe|toothpick|pick|tip)\b.{0,18} "
            r"(slides?|goes?|slips?|sinks?|glides?|meets|passes)\b",
            r"\byields? to (a|the) (fork|knife)",
            r"\b(wiggl|wobbl|jiggl)\w*",
            r"\bprobe",
            r"\blike (warm |soft )?butter",
            r"\b(cook|simmer|braise|bake)\w* (\w+ )?(until|till|til) (\w+ )?soft\b",
            r"\b(shr[aiu]nk|pulled|drawn) (s )?back\b|\bshrinks? back\b",
            r"\brack bends\b|\bbend(s)? test\b|\bbends when\b",
        ),
    ),
    (
        "holds",
        any_of(
            r"\b(holds?|holding|keeps?|keeping) (its|their) (shape|together)",
            r"\bholding together\b|\bstays? (whole|in one piece)\b",
            r"\bbites? clean|\bclean bite|\b(some|with( a)?|a bit of) (bite|chew|tug|resistance)\b",
            r"\b(slightly|a little|bit) chew|\btoothsome\b|\bbit of resistance\b",
            r"\bfirm\b|\bnot mushy\b",
        ),
    ),
    (
        "tender",
        any_of(
            r"\bslic(e|es|ed|ing|eable|able)\b",
            r"\bcarve",
            r"\b(across|against) the grain\b",
            r"\bthick slabs\b",
            r"\bcut between\b",
            r"\bin Scheiben\b",
        ),
    ),
)
"""Looked for in this order: the softer wish is the one that was meant."""
_DENIED = any_of(
    r"(\bnot|n.t(?! need)|\bnever|\bwithout|\bbefore|\brather than|\binstead of|\bno|\bshort of)"
    r"( \w+){0,2}[ -]$"
)
_CLAUSES = re.compile(r"[.;!?]\s+|, ")


def texture_of(recipe: Recipe) -> Texture | None:
    """The texture a recipe asks for: by its title and steps, or else by what stands around."""
    told = read_texture((recipe.title, recipe.description, *recipe.steps))
    return told or read_texture((*recipe.notes, *recipe.left_out))


def read_texture(texts: tuple[str, ...]) -> Texture | None:
    """The texture that the words ask for, None when they say nothing.

    What a recipe warns of (“do not let them fall off the bone”) asks for what holds together.
    """
    clauses = [part for text in texts for part in _CLAUSES.split(text)]
    denied: Texture | None = None
    for texture, pattern in _WORDS:
        for clause in clauses:
            for found in pattern.finditer(clause):
                if not _DENIED.search(clause[: found.start()]):
                    return texture
                denied = denied or ("holds" if texture == "falls" else None)
    return denied
