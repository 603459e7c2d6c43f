"""How soft a recipe wants its meat, by the words it uses."""

import re

from pneumachron.core.physics.tenderness import Texture
from pneumachron.recipes.model import Recipe
from pneumachron.recipes.understanding.patterns import any_of

_BONE = r"\b(bones?|blade( bone)?)"
_INSIDE = r"(inside|internal|kerntemperatur|in the (middle|cent(er|re)|thickest))"
_COLLAGEN_GONE = r"(20[0-8] ?°? ?F?|9[3-7] ?°? ?C)\b"
"""What is read on a thermometer where the connective tissue has melted: 200 to 208 °F, 93 to 97 °C
(common practice)."""
_FORKS = r"(two|2|a pair of|a couple of|zwei) (forks|gabeln)"
_WORDS: tuple[tuple[Texture, re.Pattern[str]], ...] = (
    (
        "chewy",
        any_of(
            r"\b(plenty|lots) of chew\b|\b(nicely|pleasantly|good and) chewy\b|\bchewy the way\b",
            r"\b(meant|supposed) to be chewy\b|\b(ribs|they|meat) should be (\w+ )?chewy\b",
        ),
    ),
    (
        "holds",
        any_of(
            r"\boff (of )?the bones? with (only |just )?a "
            r"(gentle|slight|light|little|small|bit of a) (tug|pull)\b",
            r"\b(needs?|takes?|wants?) (just |only )?a (\w+ ){0,2}(tug|pull)\b",
            r"\bbite[- ]through\b|\bteeth marks?\b",
            r"\b(?:should|must|do|does)(?: not|n.t) (?:be )?(?:fall|drop)\w* (?:right )?"
            r"off the bones?",
            r"\bn.t want (?:it|them|the \w+) (?:to )?(?:be )?(?:fall|drop)\w* off the bones?",
            r"\bbite (\w+ )?(comes?|pulls?) (away )?clean",
            r"\btugs? (a little|a bit|slightly|gently)\b",
            r"\bbones? (cleanly |clean |easily )?(when|as|where) (you |it is |they are )?"
            r"(bit|bite|bitten)\b",
        ),
    ),
    (
        "falls",
        any_of(
            r"\b(fall|drop|flop)(s|p?ing)?[- ](?:right |straight |clean )?"
            r"(apart|off|away|from|to (bits|pieces|shreds))",
            r"\bfell (apart|off)|\bfall(s|ing)? into (\w+ )?(pieces|shreds|chunks|strands|bits)\b",
            r"\b(?:remove|take out|lift out)(?: it| the meat)? and chop(?: it)?"
            r" (?:up|fine(?:ly)?|coarsely|roughly)\b",
            r"\b(chunk|fork) (it|them|the (meat|pork|beef)) up\b",
            rf"{_BONE} (\w+ )?(pulls?|slips?|comes?|twists?|slides?|lifts?|wiggles?) "
            r"((right|clean|straight|easily) )?(out|free|away|clean|loose)\b",
            r"\bpull (a|the) bone (right |clean |straight )?(out|free)\b",
            r"\b(meat|pork|beef|it) breaks? down\b|\bbreak (it|the meat|them) down\b"
            r"|\bmash (it|them|the (meat|pork|beef)) (\w+ )?(in|into|through)\b"
            r"|\bpulls? without (any )?effort\b",
            r"\bpull (off |out )?(a|one) bone\b",
            r"\b(com(es?|ing)|drops?|slips?|slid(e|es|ing)|pulls?) (straight |clean |right |away )*"
            r"(off|from) the bones?\b",
            r"\b(until|till|til) (it|they) pulls?\b",
            r"\bshred",
            r"\bpull[- ]apart\b|\beasy to pull\b|\bpull (in)?to (strands|shreds|chunks)",
            r"\b(rip|break|mash|smash|squash|crush|separate|chop)\w* (up )?"
            r"(it |them |the meat )?(up )?(roughly|with a (wooden )?spoon)",
            rf"\b{_FORKS}\b|\bmeat claws\b",
            r"\bsurrenders?\b|\b(it|meat|pork|beef|joint) gives up\b|\bpulls? itself\b",
            r"\bchop\w* the (meat|pork|beef) (\w+ )?and (toss|mix|stir|dress)\b",
            r"\bbreak(ing)? (up )?(the )?(meat|pork|beef)\b(?! (in)?to (bite|large|big|generous))",
            r"\b(discard|(fish|lift|pull|pick)(ing)? out) (the |any |all )?(\w+ )?bones?\b"
            r"|\b(lift|fish|pull|pick)(ing)? (the |any |all )?(\w+ )?bones? out\b",
            r"\bmash it up\b|\bslumps?\b|\bspread (it )?on (toast|bread)\b",
            r"\b(it|they) pulls? but\b",
            r"\bbone can be (turned|twisted|pulled)\b",
            rf"{_BONE} (\w+ )?(twists?|turns? easily)\b|\btwist (the|a) bone\b",
            r"\bbones? (are |is )?loose\b|\bloose at the bones?\b",
            r"\bcomes? off clean|\bpulls? off in\b|\bbarely cling|\b(is|are|be) falling\b",
            r"\b(in)?to (threads|strands|bits|rags|tatters)\b|\bin hunks\b|\bstrands\b",
            r"\b(separates?|parts) easily\b|\bteased? (it |them |the meat )?apart\b"
            r"|\bpull off the meat\b|\b(nearly|almost) off the bones?\b",
            r"\b(vom|von den) knochen\b|\bauseinander|\b(zer|ge)?(z|r)upf|\bzerteil",
            r"\bzerf(ä|ae)ll\w*|\bzerpfl(ü|ue)ck\w*|\bzerrei(?:ß|ss)en\b|\bpullen\b",
            r"\b(pulls?|comes?|breaks?|tears?) (easily )?apart\b",
            r"\bpulled\b(?! (back|away|from|out|off))",
            r"\bpulled (away )?from the bones? (with|by) \w+|\bparts from the bones?\b",
            r"\b(barely|scarcely|hardly|just about) (holds?|holding|hangs?|hanging) together\b",
            r"\btear (it |them |the meat )?into (bite[- ]size\w*|small|rough) (pieces|chunks)\b",
            r"\bpull (it|them|with|(the |your )?(meat|pork|beef|brisket|shoulder|butt))\b"
            r"(?! (\w+ )?(from|out|off|at|back)\b)",
            r"\b(can|could) pull (it|them)\b|\b(ready|soft enough) (for|to) pull",
            r"\bpulls (easily|clean|like)\b",
            r"(?<!onions )\bcollaps(e|ing)",
            r"\bpull\.|^\W*pull\b(?! (\w+ ){0,3}(from|out|off|away|back|at)\b)"
            r"(?! (the )?(membranes?|skin|silver ?skin)\b)",
            r"(?<!pepper )(?<!pepper-)(?<!chilli )(?<!chili )(?<!chile )(?<!chilly )(?<!salt )"
            r"(?<!oat )(?<!corn )(?<!coconut )(?<!almond )(?<!fish )(?<!bonito )"
            r"\bflakes?\b(?! of| salt|d)|\bflaked (with|by)\b"
            r"|\b(until|till|til) (\w+ )?flak(ing|y)\b"
            r"|\bbreaks? (in)?to (chunks|pieces|bits|lumps)\b"
            rf"|{_BONE} (can|could|will|should) be (removed|taken out) (easily|with no effort)"
            r"|\bcrumbles? (it |the meat )?with\b",
            r"\b(torn?|tear(s|ing)?) (it |them |the meat )?(in)?to (strands|chunks|shreds|pieces)",
            r"\bwithout a fight\b",
            r"\bcomes? off in (chunks|pieces|lumps|flakes)\b",
            r"\btear (the |up the |up )?(meat|pork|beef|brisket|shoulder|it|them)\b",
            r"\b(broken|break\w*|crush\w*|mash\w*) (it |them |up |a little "
            r"|the (pieces|chunks|cubes) )*(under|with|by|against)"
            r"( \w+){0,5} (fork|spoon|forks|spoons|tongs)\b",
            rf"{_BONE} (can|could|will|should) (easily )?be (drawn|pulled|lifted|twisted|slid)"
            r" (right |clean |straight )?(out|free|away)",
            r"\bleav(e|es|ing) the bones?\b",
            r"\b(pick|strip|pluck|take|remove|peel|scrape)\w* (all )?(of )?the (meat|pork"
            r"|beef) (\w+ )?((off|from) (the |its )?bones?|off with)\b",
            r"\bbones?\b.{0,30}\b(fall|pop|drop|slip|slide|come)s? (right |straight )?out\b",
            rf"{_BONE} (comes?|is|are|feels?|gets?|works?) loose\b|\bit falls\b",
            r"\b(break(s|ing)?|broken) up\b|\b(com(es?|ing)|go(es)?) to pieces\b",
            r"\b(shatters?|squash(es|ed)?|hack(ed)?) (it |them )?(up|when|with)\b|\bzerrei(ß|ss)",
            r"\bpull(able|-tender| tender)\b|\bfor pulling\b",
            r"^\W*(?:then )?chop (?:up )?(?:the )?(?:cooked )?(?:meat|brisket|pork|beef)"
            r"(?: (?:and|with|fine(?:ly)?|coarsely|roughly))?\b(?! (?:in|into|raw)\b)",
        ),
    ),
    (
        "very",
        any_of(
            # one step below what shreds, as the app's own steps are called
            r"(?<!almost )(?<!nearly )(?<!quite )\bfork[- ](tender|soft)\b",
            r"\bfork ((should|can|will) )?(be )?(twist|turn)(s|ed)?\b|\btwist a fork\b",
            r"\b(very,?|really|completely|extremely|super|so|utterly|beautifully|properly|absurdly"
            r"|ridiculously|incredibly|unbelievably|exceptionally|quiveringly|wonderfully|insanely"
            r"|supremely|lusciously|sumptuously|sehr|ganz|richtig|butter) ?-?(tender|soft"
            r"|zart|weich)\b",
            r"\b(no knife needed|need (a|no) knife|without a knife)\b",
            r"\bmelts?[- ]in[- ](the|your)[- ]mouth\b|\bunctuous\b|\blike pudding\b",
            r"\bbuttery\b|\b(jelly|pudding)[- ]soft\b|\bdissolv(es|ing)\b|\bmelts? away\b",
            r"\byields? to (a|the) spoon\b|\bquivers\b",
            r"\b(side|edge) of a fork\b|\bcuts? with a fork\b|\bwith a fork (only|alone)\b",
            r"\b(collagen|tissue|gristle)( has| have)? melt",
            r"\bsoft as (anything|pudding)\b|\bsticky and soft\b|\bsoft and sticky\b"
            r"|\bbutterweich\b|\bsquidgy\b|\bput a spoon through\b|\bfork goe?s? in and twists?\b",
            r"\b(until|till|til) they bend",
            rf"\b20[0-8] ?°? ?F?\b.{{0,12}}{_INSIDE}",
            rf"\b9[3-7] ?°? ?C?\b.{{0,12}}{_INSIDE}",
            r"\b(internal|core|inside|cent(er|re)) temp\w*\.? (\w+ ){0,2}(\d{2,3} ?(-|–|to) ?)?"
            r"(20[0-8]|9[3-7])\b",
            r"\b(20[0-8] ?°? ?F?|9[3-7] ?°? ?C?) (core|internal|on the (probe|thermometer))\b",
            rf"\b(prob(e|ed|es|ing)|thermometer|internal|core|kern(temperatur)?)\b[^.]{{0,25}}\b{_COLLAGEN_GONE}",
            r"\blike jelly\b|\b(until|till|til) 20[0-8]\W{0,2}F? and (\w+ )?(soft|tender)\b",
            r"\bspoon (would|will|can|could|should) (cut|go through|break) (it|them|the meat)\b",
            r"\bspoon[- ](soft|tender)|\bspoon (cuts|goes)\b|\bspoonable\b",
            r"\b(eat|cut|scoop|serv|carv)\w* (it |them |the meat )?with a spoon\b",
            "meltingly",
            r"\bmelting (?!the )|\bmelting(?:[,.]|\W*$)|\bmelts in\b",
            r"\b(almost|nearly|practically|all but) melts\b",
            r"\bbutter[- ]soft|\bsoft as butter|\bgelatinous\b",
            "silky",
            r"\b(need|without|no)( \w+){0,2} teeth\b|\blike (\w+ )?soft butter\b",
            r"\b(wobbl|quiver|jiggl)\w* like (a )?(jelly|jello|custard)",
            r"\b(gristle|tissue|collagen|sinews?|fat)\b.{0,25}\b(jelly|jellied|custard|broken down"
            r"|dissolved|melted)\b",
        ),
    ),
    (
        "holds",
        any_of(
            r"\b(slight|gentle|light|little|bit of( a)?|some|with( a)?|but with) (tug|chew|bite"
            r"|pull)\b|\b(slight|gentle|bit of( a)?|some|with( a)?) resistance\b",
            r"(?<!tender but )(?<!tender, but )(\b(not|never)|n.t)\b[^.]{0,25}\bmush",
            r"\b(a|noch) (little|etwas|bit of|leichten?) (resistance|biss|widerstand)\b",
            r"\b(plenty|lots) of resistance|\bresistance left\b|\bal dente\b",
            r"\b(not quite|just short of) (fork[- ])?tender\b|\btoo soft\b",
            r"\bstill (attached to|on) the bones?\b|\bstay(s|ing)? on the bones?\b"
            r"|\bsurvives? the (grill|pan|broiler|knife)"
            r"|\bhold up (on|over|to|under) the (grill|coals|flame|fire|broiler|knife)\b",
            r"\bwithout (crumbling|falling apart|shredding|breaking)\b|\bnot shred"
            r"|\brather than shred",
            r"\bpull left\b|\bbite marks?\b|\bclean bite\b|\bbites? clean",
            r"\b(hold|holds|holding|keep|keeps|stay|stays|staying) together\b",
            r"\b(hold|cling|hang)(s|ing)? (on )?to (the |its |their )?bones?\b",
        ),
    ),
    (
        "tender",
        any_of(
            "knife[- ]tender",
            r"(?<!almost )(?<!nearly )(?<!quite )\b(tender|zart|weich|m(ü|ue)rbe?)\b",
            r"\byielding\b|\bbones? (are )?(show|stick|poke|rattle|move|should move)"
            r"|\bbones? (start|begin)s? to (show|stick|poke)\b"
            r"|\b(until|till|til|when) (\w+ ){0,2}is giving\b|\bloosens its (grip|hold)\b",
            r"\b(a|the) bone (should |will )?moves?\b|\bmove the bones\b|\bit (should )?moves?\b",
            r"\bput a (fork|skewer|knife) through\b|\bshrunk from\b|\bmeat softens\b",
            r"^(?!.*\b(onions?|vegetables?|garlic|carrots?|butter|sugar|fruit|shallots?|leeks?|beans?"
            r"|lentils?|rice|noodles?|cabbage|potato(es)?|apples?|pears?|mushrooms?|prunes?)\b)"
            r".*\b(until|till|til) (\w+ ){0,2}soft\b",
            r"\bgives (when|under|to)\b|\bcracks? (when|as|if)\b|\bpierced (easily|with no)\b"
            r"|\b(lovely|nice|good) and soft\b|\b(fights?|fought) back\b|\bgives? way to\b",
            r"\b(meat|pork|beef|it|they|joint|roast) (is|are|should be|feels?) soft\b",
            r"\b(bend|flex|droop)\w*\b(?! the\b)",
            r"\b(two|three|four|[2-4]) bones (each|apiece|per)\b",
            r"\b(gabel|messer|spie(ß|ss)|nadel)\b.{0,20} (hinein)?"
            r"(gleitet|geht|sticht|einstechen)\b",
            r"\b(fork|knife|skewer|probe|tester|toothpick|pick|tip|chopstick|needle)\b.{0,18} "
            r"(slides?|goes?|slips?|sinks?|glides?|meets|passes)\b",
            r"\byields? to (a|the) (fork|knife)",
            r"\b(wiggl|wobbl|jiggl)\w*",
            r"\bprobe",
            r"\blike (warm |soft )?butter",
            r"\b(cook|simmer|braise|bake)\w* (\w+ )?(until|till|til) (\w+ )?soft\b",
            r"\b(shr[aiu]nk|pulled|drawn) (s )?back\b|\b(shrinks?|pulls|draws) back\b"
            r"|\bmeat (to )?(pull|draw) back\b",
            r"\b(no|little|hardly any|without( any)?) (resistance|fight)\b|\beasily pierced\b",
            r"\b(rack|slab|it) (cracks?|splits?|breaks?) (when|as|if)\b",
            r"\b(fork|knife|skewer|probe) comes? out (easily|clean)",
            r"\bpierces? easily\b|\bgives? no (fight|resistance)\b",
            r"\brack bends\b|\bbend(s)? test\b|\bbends when\b",
        ),
    ),
    (
        "holds",
        any_of(
            r"\b(almost|nearly) (fork[- ])?tender\b",
            r"\b(holds?|holding|keeps?|keeping) (its|their) (shape|together)",
            r"\bholding together\b|\bstays? (whole|in one piece)\b",
            r"\bbites? clean|\bclean (bite|mark)\b",
            r"\b(some|with( a)?|a bit of) (bite|chew|tug|resistance)\b",
            r"\b(slightly|a little|bit) chew|\btoothsome\b|\bbit of resistance\b",
            r"\bfirm\b(?! (up|enough to|peaks?)\b)|\bnot mushy\b",
        ),
    ),
    (
        "tender",
        any_of(
            r"\bslic(e|es|ed|ing|eable|able)\b",
            r"\bcarve(?! out\b)",
            r"\b(across|against) the grain\b",
            r"\bthick slabs\b",
            r"\bcut (the (ribs|racks?|slabs?) |it |them )?between\b",
            r"\bin Scheiben\b|\btranchier|\b(?:fleisch|braten|nacken|\w*schulter|\w*brust)\b"
            r"[^.;]{0,40}\b(?:aufschneiden|aufgeschnitten|scheiben)\b",
            r"\b(test|check|try)\w* (it |them |the meat )?with a (fork|skewer|knife|toothpick)\b",
            r"\b(meat|pork|beef|it|they|should|will|must) yields?\b",
            r"\bgives? easily\b|\btwist test\b",
            r"\b(ribs?|rack|slabs?|brisket|shoulder) (is|are|feels?) (\w+ )?soft\b",
            r"\b(cut|part|portion|divide)\w* into (single |individual |separate )?ribs\b"
            r"|\binto single ribs\b",
            r"\bends (should |will )?(hang|droop|sag)\b",
            r"\bbone ends? (are |is )?(exposed|showing|visible|bare)|\bbones? (are )?(exposed"
            r"|visible)",
        ),
    ),
)
"""Looked for in this order: of several, the softer wish is the one that was meant."""
_BESIDE = any_of(
    r"\b(onions?|shallots?|leeks?|carrots?|celery|potato(es)?|beans?|lentils?|rice|noodles?|pasta"
    r"|cabbage|slaw|kale|lettuce|cheese|cheddar|buns?|rolls?|bread|tortillas?|apples?|pears?|fruit"
    r"|mushrooms?|peppers?|chil(i|li|e)(e?s)?|garlic|vegetables?|veg|parsnips?|turnips?|beets?"
    r"|sauerkraut|polenta|grits|dumplings?|pumpkin|squash|tomato(es)?|barley|eggs?|herbs"
    r"|zwiebeln?|kartoffeln?|kraut|m(ö|oe)hren|gem(ü|ue)se)\b"
)
_OTHERS = (
    rf"(?:{_BESIDE.pattern}|\b(sauce|gravy|glaze|syrup|mash|pur(?:é|e)e|butter|dressing|greens"
    r"|salad|relish|dough|crust|custard|stuffing)\b)"
)
_OBJECT_BEFORE = re.compile(
    r"\b(?:sauer)?(?:kraut|kohl|zwiebeln?|kartoffeln?|gem(?:ü|ue)se) $", re.I
)
"""“Sauerkraut auseinanderzupfen”."""
_OBJECT = re.compile(
    r"(?:\w* )?(?!(in|on|over|into|onto|with|for|to|and|between) )(?:[\w-]+ ){0,2}?" + _OTHERS,
    re.I,
)
"""What follows a verb, without a preposition between."""
_COOKED_BESIDE = re.compile(
    r"^\W*(?:(?:then|and|meanwhile|now) )*\w+ (?:in |up |down )?(?:the |some |your |an? )?"
    rf"(?:[\w-]+ )?{_OTHERS}[^,;.]*\b(?:until|till?|so)\b",
    re.I,
)
"""“Boil the potatoes until they fall apart.”"""
_MEAT = any_of(
    r"\b(meat|pork|beef|ribs?|rack|slabs?|brisket|shoulder|butt|joint|roast|flanken|belly|bones?"
    r"|pieces?|chunks|wings?|fleisch|rippen?|braten|schulter)\b"
)
_DENIED = any_of(
    r"(\bnot|\bnicht|\bnot so long that|n.t(?! need)|\bnever|\bwithout|\bbefore|\brather than"
    r"|\binstead of|\bno|\bshort of)"
    r"( \w+){0,2}[ -]$"
)
_ELSE_IT = any_of(r"\bor (?:it|they)(?:['’]ll| will) $")
"""“Let it sit 15 minutes or it'll fall to pieces”: as soft, and it is sliced all the same."""
_BEFORE = any_of(r"\b(?:stand|rest|sit|wait|cool)\b[^.]*\bbefore $")
"""“Let it stand 15 minutes before slicing.”"""
_BUT_HOLDS = re.compile(
    r"^[^.]{0,20}\b(?:without|but)\b[^.]{0,14}\bfall(?:ing)? (?:apart|off)\b",
    re.I,
)
"""“They come off the bone clean but don't fall apart”."""
_BUT_STAYS = re.compile(
    r"^[^.]{0,20}\bbut (?:still )?(?:stays?|holds?|keeps?)\b[^.]{0,14}\b(?:piece|together|shape)\b",
    re.I,
)
"""“They break with a fork but stay in one piece”: fork-tender."""
_OTHERWISE = re.compile(
    r"\([^()]*\d[^()]*\bfor [^()]*\)"
    r"|\b(?:crackling|skin|rind)\b[^.;]{0,30}\b(?:in)?to (?:pieces|shards|bits)\b",
    re.I,
)
"""“25 minutes (23 for firmer, 30 for fall off the bone)”: what else could be had; and “lift off the
crackling and break into pieces”."""
_NOT_ASKED = re.compile(
    r"(?:^|(?<=[.;!?]\s))(?:[^.;!?]*\bleft[- ]?overs?\b|If you (?:want|like|prefer|would)\b"
    r"|[^.;!?]*\b(?:sauce|gravy|glaze|syrup)\b[^.;!?]*\b(?:until|till?) it\b)[^.;!?]*",
    re.I,
)
"""“Shred what is left over”, “if you want it to fall apart, …”: not what is cooked here."""
_CLAUSES = re.compile(r"[.;!?]\s+|, ")


def _is_beside(texture: Texture, clause: str, found: re.Match[str]) -> bool:
    """Whether what was found is done to something else on the table, and not to the meat.

    "Soften the onions until tender", "slice the buns"; but "shred it and pile on buns" is meat.
    """
    if _MEAT.search(clause):
        return False
    before, behind = clause[: found.start()], clause[found.end() :]
    if _OBJECT_BEFORE.search(before):
        return True
    if re.search(r"\b(it|them|they)\b", behind[:6]):
        return False
    # what falls apart or is pulled is meat, whatever else stands in the sentence
    softens = texture in {"very", "tender", "holds"} and _BESIDE.search(before) is not None
    cooked = _COOKED_BESIDE.match(before) is not None
    return softens or cooked or _OBJECT.match(behind) is not None


def texture_of(recipe: Recipe) -> Texture | None:
    """The texture a recipe asks for: by its title and steps, or else by its notes."""
    above = _GOOD_FOR.sub("", recipe.description)
    told = read_texture((recipe.title, above, *recipe.steps))
    said = tuple(line for line in recipe.left_out if _SAYS_HOW.match(line))
    return told or read_texture(recipe.notes) or read_texture(said)


_GOOD_FOR = re.compile(
    r"[^.;!?]*\b(?:(?:great|good|perfect|ideal|wonderful|lovely) (?:for|in|as)"
    r"|my \w+ (?:wants?|likes?|prefers?) (?:it|them|his|hers))\b[^.;!?]*", re.I,
)  # fmt: skip
"""“Great for pulled pork sandwiches”, above steps that slice it: what else could be made of it."""
_SAYS_HOW = re.compile(r"(?:it |they |meat )?(?:falls?|pulls|shreds|melts|slices)\b.{0,60}$", re.I)
"""“Falls right off the bone”, alone below the recipe; a title has no such verb."""


def read_texture(texts: tuple[str, ...]) -> Texture | None:
    """The texture that the words ask for, None when they say nothing.

    What a recipe warns of (“do not let them fall off the bone”) asks for what holds together.
    """
    clauses = [
        part for text in texts
        for part in _CLAUSES.split(_OTHERWISE.sub("", _NOT_ASKED.sub("", text)))
    ]  # fmt: skip
    denied: Texture | None = None
    for texture, pattern in _WORDS:
        for clause in clauses:
            for found in pattern.finditer(clause):
                if _is_beside(texture, clause, found):
                    continue
                before = clause[: found.start()]
                if _BEFORE.search(before) or not _DENIED.search(before):
                    behind = clause[found.end() :] if texture == "falls" else ""
                    holds, stays = _BUT_HOLDS.search(behind), _BUT_STAYS.search(behind)
                    if texture == "falls":
                        stays = stays or _ELSE_IT.search(before)
                    return "tender" if holds else "very" if stays else texture
                denied = denied or ("holds" if texture == "falls" else None)
    return denied
