"""Notes, gear and advertisements that stand above or among a recipe end where it goes on."""

from dataclasses import dataclass

from pneumachron.recipes.reading.headings import Heading
from pneumachron.recipes.reading.numbering import number_of
from pneumachron.recipes.reading.row import Row
from pneumachron.recipes.understanding.remarks import is_beside_the_work, tells_long_heat

SURE_FOOD = 2.0
"""How much a line with an amount looks like food that is one without a doubt. Judgement."""
_FOOD_AMONG = 1.5
"""The same, of a line behind others of a list: “1 onion”. Judgement."""
SURE_WORK = 1.5
"""How much a line looks like work that is some. Judgement."""
_LEAST_FOODS = 2
_MANY_STEPS = 3
"""Foods and steps of a recipe that is told already, though no long heat is. Judgement."""


@dataclass(slots=True)
class Boxes:
    """What was told above a line, and whether a box is open there.

    Behind a whole recipe, notes and comments reach to the end of the text.
    """

    foods: int = 0
    works: int = 0
    cooked: bool = False
    outside: Heading | None = None
    """Under which heading the open box stands."""
    is_open: bool = False
    """Whether the last line stood in a box."""
    _counts_itself: bool = False
    """Notes and nutrition name amounts of their own."""
    _parted: bool = False
    """An empty line stood in the box."""
    _lines: int = 0
    _number: int = 0
    """Of the last numbered step."""

    @property
    def whole(self) -> bool:
        """Whether a whole recipe was told."""
        return self.foods >= _LEAST_FOODS and (self.cooked or self.works >= _MANY_STEPS)

    def heading(self, row: Row, under: Heading | None) -> None:
        """A heading of ingredients, steps, notes or what ends the page."""
        boxed = row.heading in {"notes", "end"}
        self._counts_itself = row.heading == "notes" or row.plain.lower().startswith("nutri")
        if boxed and not self.is_open:
            self.outside = under
        self.is_open = boxed and not self.whole
        self._parted, self._lines = False, 0

    def ends_at(self, row: Row) -> bool:
        """Whether the open box ends above a line: the recipe goes on with it."""
        if not self.is_open:
            return False
        self._parted = self._parted or (row.after_gap and self._lines > 0)
        self._lines += 1
        return self._goes_on(row)

    def saw(self, row: Row, *, ended: bool) -> None:
        """A line that is no heading of its own section.

        Parameters
        ----------
        ended : the box ended above it
        """
        self.is_open = self.is_open and not ended
        if self.is_open or row.under in {"notes", "end"} or row.look.clutter:
            return
        self.foods += row.look.has_amount and row.look.food > SURE_FOOD
        self.works += row.look.work >= SURE_WORK
        self._number = number_of(row.raw) or self._number
        self.cooked = self.cooked or (row.look.work > 0.0 and tells_long_heat(row.plain))

    def _goes_on(self, row: Row) -> bool:
        if self.foods < _LEAST_FOODS or not (self.works or self._counts_itself):
            least = SURE_FOOD if self.foods < _LEAST_FOODS else _FOOD_AMONG
            sure = row.look.has_amount and row.look.food > least
            if self.foods < _LEAST_FOODS or sure:
                return sure and row.heading is None
        if self._number and number_of(row.raw) == self._number + 1:
            return True
        beside = row.look.clutter or is_beside_the_work(row.plain, cooked=True)
        return self._parted and not beside and row.look.work >= SURE_WORK
