"""Plans kept by earlier versions, brought to the shape of today."""

from typing import Any

from pneumachron.services.documents import RESULTS_VERSION


def upgraded(document: dict[str, Any]) -> dict[str, Any]:
    """A stored document in today's shape; its numbers stay those of its engine.

    Version 1 had reasons in minutes only; what it did not know is left out. Both older versions
    held sentences: those of reasons and cautions are kept as they were, others follow from codes.
    """
    version = document["results_version"]
    if version >= RESULTS_VERSION:
        return document
    return _without_sentences(_of_version_2(document) if version == 1 else document)


def _without_sentences(document: dict[str, Any]) -> dict[str, Any]:
    def kept(item: dict[str, Any]) -> dict[str, Any]:
        rest = {key: value for key, value in item.items() if key != "text"}
        return {**rest, "kept_text": item["text"]}

    def without(item: dict[str, Any] | None, *names: str) -> dict[str, Any] | None:
        return item and {key: value for key, value in item.items() if key not in names}

    return {
        **document,
        "reasons": [kept(reason) for reason in document["reasons"]],
        "cautions": [kept(caution) for caution in document["cautions"]],
        "pieces": [
            {**(without(piece, "looks") or {}), "dry": piece.get("dryness_ratio", 0.0) > 1.0}
            for piece in document["pieces"]
        ],
        "release": without(document.get("release"), "reason", "juice", "spray"),
    }


def _of_version_2(document: dict[str, Any]) -> dict[str, Any]:
    reasons = [
        {
            **{key: value for key, value in reason.items() if key != "effect_min"},
            "about": "hold",
            "effect": reason["effect_min"],
            "effect_unit": "min",
        }
        for reason in document["reasons"]
    ]
    return {
        **document,
        "reasons": reasons,
        "range": [],
        "standing": {**document["standing"], "placed": [], "section": []},
        "liquid": {**document["liquid"], "marks_metric": [], "marks_us": []},
        "done_s": document["lid_on_to_open_s"],
    }
