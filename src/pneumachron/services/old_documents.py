"""Plans kept by earlier versions, brought to the shape of today."""

from typing import Any

from pneumachron.services.documents import RESULTS_VERSION


def upgraded(document: dict[str, Any]) -> dict[str, Any]:
    """A stored document in today's shape; its numbers stay those of its engine.

    Version 1 had reasons in minutes only; what it did not know is left out. Versions 1 and 2 held
    sentences: those of reasons and cautions are kept as they were, others follow from codes.
    Version 3 had other names for the liquid style, the arrangement and the step of tenderness.
    """
    version = document["results_version"]
    if version >= RESULTS_VERSION:
        return document
    if version == 1:
        document = _to_version_2(document)
    if version <= 2:
        document = _to_version_3(document)
    return _to_version_4(document)


_NAMES_OF_VERSION_4 = {
    "school": "liquid_style",
    "school_volume_m3": "usual_volume_m3",
    "school_shown": "usual_shown",
    "texture_step": "tenderness_step",
    "standing": "arrangement",
}


def _to_version_4(document: dict[str, Any]) -> dict[str, Any]:
    def with_names(value: Any) -> Any:  # noqa: ANN401 - whatever a document holds
        if isinstance(value, dict):
            return {
                _NAMES_OF_VERSION_4.get(key, key): with_names(item) for key, item in value.items()
            }
        if isinstance(value, list):
            return [with_names(item) for item in value]
        return value

    named = with_names(document)
    place = named["arrangement"]
    reasons = [
        {**reason, "fact": "style"}
        if (reason["about"], reason["fact"]) == ("liquid", "school")
        else reason
        for reason in named["reasons"]
    ]
    kind = {"kind" if key == "arrangement" else key: item for key, item in place.items()}
    return {**named, "reasons": reasons, "arrangement": kind}


def _to_version_3(document: dict[str, Any]) -> dict[str, Any]:
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


def _to_version_2(document: dict[str, Any]) -> dict[str, Any]:
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
