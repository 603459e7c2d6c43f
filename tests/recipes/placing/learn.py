"""Makes the weights of the second reading: `python -m tests.recipes.placing.learn`.

It needs scikit-learn (group `learn` of `pyproject.toml`), which neither app nor tests do. It
prints how many foods are placed right in texts that were left out of the learning, and writes
`place_weights.csv`.
"""

from collections import defaultdict
from csv import writer
from pathlib import Path

from sklearn.feature_extraction import DictVectorizer
from sklearn.linear_model import LogisticRegression
from sklearn.model_selection import GroupKFold, cross_val_predict
from sklearn.pipeline import make_pipeline

from pneumachron.recipes.placing.likely import ALWAYS, PLACES
from tests.recipes.placing.examples import Example, examples

WEIGHTS = Path(__file__).parents[3] / "src/pneumachron/recipes/data/place_weights.csv"
LEAST_TEXTS = 5
"""A sign of fewer texts teaches nothing that holds elsewhere. Set after seeing output."""
LOOSENESS = 0.5
"""The inverse strength of the penalty on weights. Set after seeing output: 0.3 to 1 score alike."""
FOLDS = 10


def _common(found: list[Example]) -> frozenset[str]:
    texts: defaultdict[str, set[str]] = defaultdict(set)
    for each in found:
        for sign in each.signs:
            texts[sign].add(each.text)
    return frozenset(sign for sign, names in texts.items() if len(names) >= LEAST_TEXTS)


def main() -> None:
    """Learn, measure, write."""
    found = list(examples())
    common = _common(found)
    signs = [dict.fromkeys(sorted(each.signs & common), 1) for each in found]
    places = [each.place for each in found]
    texts = [each.text for each in found]
    vectors = DictVectorizer()
    model = LogisticRegression(C=LOOSENESS, max_iter=2000)
    folds = GroupKFold(FOLDS)
    guessed = cross_val_predict(
        make_pipeline(vectors, model), signs, places, groups=texts, cv=folds
    )
    right = sum(guess == place for guess, place in zip(guessed, places, strict=True))
    print(f"{len(found)} foods of {len(set(texts))} texts, {len(common)} signs")
    print(f"right in texts that were left out: {right / len(found):.3f}")
    model.fit(vectors.fit_transform(signs), places)
    columns = {place: number for number, place in enumerate(model.classes_)}
    table = {ALWAYS: model.intercept_} | {
        sign: model.coef_[:, column] for sign, column in vectors.vocabulary_.items()
    }
    with WEIGHTS.open("w", encoding="utf-8", newline="") as out:
        rows = writer(out, lineterminator="\n")
        rows.writerow(("sign", *PLACES))
        for sign in sorted(table):
            rows.writerow((sign, *(f"{table[sign][columns[place]]:.2f}" for place in PLACES)))


if __name__ == "__main__":
    main()
