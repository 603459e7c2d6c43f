"""How soft the meat shall be, in many words; and the same words said of what lies beside it.

What a word of a cook asks for is common practice.
"""

import pytest

from pneumachron.recipes.reading import read_recipe
from pneumachron.recipes.understanding.texture import texture_of

ASKED = {
    "to 203 °F, for pulling": "falls",
    "till the beef is melting": "very",
    # one step below what shreds, and a name of our own steps (docs/validation.md, cases B2 to S10)
    "until fork-tender but not mushy": "very",
    "until a fork twists easily in the meat": "very",
    "until almost fork-tender": "tender",
    "until the meat slumps": "falls",
    "until you can spread it on toast": "falls",
    "so it pulls but isn't mush": "falls",
    "until a bone can be turned in the meat": "falls",
    "until the meat shreds at a touch": "falls",
    "till the pork can be shredded": "falls",
    "until it shreds under gentle pressure": "falls",
    "until you can cut it with a spoon": "very",
    "until soft enough to eat with a spoon": "very",
    "until the meat offers no resistance to a knife": "tender",
    "until a skewer goes in without resistance": "tender",
    "until it is as soft as butter": "very",
    "until it pulls apart with no effort": "falls",
    "until it is nearly falling apart": "falls",
    "until almost falling off the bone": "falls",
    "until the meat has shrunk back from the bones": "tender",
    "until the ribs crack when lifted": "tender",
    "until the rack bends and cracks on top": "tender",
    "pass the bend test": "tender",
    "do the toothpick test: it should slide in with no drag": "tender",
    "until a toothpick slides in easily": "tender",
    "until it slices neatly but is tender": "tender",
    "until tender enough to slice": "tender",
    "tender but still sliceable": "tender",
    "so it holds its shape when sliced": "holds",
    "until tender but not falling apart": "tender",
    "until cooked but still with some bite": "holds",
    "ribs should have a little tug to them": "holds",
    "they should come cleanly off the bone with a gentle bite": "holds",
    "until you can pull a bone out": "falls",
    "until the blade bone slides out cleanly": "falls",
    "until the shoulder blade pulls out": "falls",
    "until the meat can be pulled with two spoons": "falls",
    "until it can be flaked with a fork": "falls",
    "until flaking": "falls",
    "until it gives to a fork": "tender",
    "until easily pierced with a fork": "tender",
    "until pierced easily with the tip of a knife": "tender",
    "until a fork goes in with ease": "tender",
    "until very soft": "very",
    "until unbelievably tender": "very",
    "until gloriously sticky and tender": "tender",
    "until it's spoon tender": "very",
    "cook until fork tender, do not let it shred": "very",
    "it should not fall apart": "holds",
    "you do not want it falling off the bone": "holds",
    "don't overcook: it must slice, not shred": "holds",
    "pull the pork and mix with the sauce": "falls",
    "Using two forks, shred the beef.": "falls",
    "Pull into large chunks and serve.": "falls",
    "until the meat almost melts": "very",
    "until it wobbles like jelly": "very",
    "until the probe reads 203 F": "very",
    "until it reaches 95 C inside": "very",
    "bis es zart ist": "tender",
    "bis es butterzart ist": "very",
    "bis sich das Fleisch vom Knochen löst": "falls",
    "bis das Fleisch zerfällt": "falls",
    "bis es sich mit der Gabel zerteilen lässt": "falls",
    "until it's lovely and soft": "tender",
    "until nice and tender": "tender",
    "until you could eat it with a spoon": "very",
    "until the fork twists with no effort": "very",
    "until the meat collapses when you look at it": "falls",
    "until you can pull it apart by hand": "falls",
    "until soft enough to pull by hand": "falls",
    "until it breaks into chunks when pushed": "falls",
    "until it comes away in strands": "falls",
    "until it comes apart in your fingers": "falls",
    "until the bones pop out": "falls",
    "until bones can be removed easily": "falls",
    "remove the bones and shred the meat": "falls",
}
NOT_OF_THE_MEAT = (
    "until the meat is done",
    "until cooked through",
    "Shred the cabbage and dress it.",
    "Shred the carrots for the slaw.",
    "Pull the tray out of the oven.",
    "until it reaches 145 F inside",
    "Pull the membrane off the back.",
    "Pull the tray out of the oven.",
    "Pull the ribs off the smoker.",
    "Pull out the bay leaves.",
    "Pull off the foil.",
    "Pull at 203.",
    "Pull the lid off and stir.",
    "Pull the meat from the fridge an hour before.",
    "Tear off a sheet of foil.",
    "Break the rack in two.",
    "Break up the tomatoes with a spoon.",
    "Break the noodles into the pot.",
    "Crush the tomatoes with a fork.",
    "Mash the potatoes with butter.",
    "Mash the garlic.",
    "Cut the onions so that they fall apart.",
    "Soften the onions until they collapse.",
    "Tear the bread into chunks.",
    "Strip the thyme from the stalks.",
    "Remove the bones from the stock.",
    "Simmer the sauce until silky.",
    "Serve with buttery mash.",
    "Stir in the soft butter.",
    "Cook the potatoes until a knife slides in.",
    "Cook the pasta until al dente.",
    "Boil the potatoes until they fall apart.",
    "Cook the apples until they collapse.",
    "Fold in melting cheese.",
    "Serve with tender greens.",
    "Add the tender herbs at the end.",
    "Bend the foil up at the edges.",
    "The sauce should be firm enough to coat a spoon.",
    "Firm up in the fridge.",
    "Toss until the cabbage wilts and is tender.",
    "Score the fat with a sharp knife.",
    "Test the sauce with a spoon.",
    "Slice the rolls.",
    "Carve the pumpkin.",
    "Melt the butter.",
)


def texture(*steps: str) -> str | None:
    foods = "2 kg pork shoulder\n2 onions\n500 ml stock"
    text = "\n".join(("Brown the pork.", *steps))
    return texture_of(
        read_recipe(f"Sunday dinner\n\nIngredients\n{foods}\n\nMethod\n{text}\n").recipe
    )


@pytest.mark.parametrize(("words", "wished"), ASKED.items())
def test_how_soft_it_shall_be(words: str, wished: str) -> None:
    if words.endswith("."):
        assert texture("Cover and cook for 3 hours.", words) == wished
    else:
        assert texture(f"Cover and cook for 3 hours, {words}.") == wished


@pytest.mark.parametrize("words", NOT_OF_THE_MEAT)
def test_what_is_said_of_something_else(words: str) -> None:
    if words[0].islower():
        assert texture(f"Cover and cook for 3 hours, {words}.") is None
    else:
        assert texture("Cover and cook for 3 hours.", words) is None
