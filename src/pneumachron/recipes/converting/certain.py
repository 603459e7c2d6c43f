"""Lines whose place a step tells in so many words: nothing is asked about them."""

from pneumachron.recipes.converting.marinade import (
    discarded_lines,
    soaked_lines,
    told_of_the_marinade,
)
from pneumachron.recipes.converting.rubs import pushed_on
from pneumachron.recipes.understanding.understand import Understood


def certain_lines(understood: Understood) -> frozenset[int]:
    """What is thrown away or wiped off with a marinade, and what is pushed into the raw meat."""
    soaked = soaked_lines(understood) & told_of_the_marinade(understood)
    return discarded_lines(understood) | pushed_on(understood) | soaked
