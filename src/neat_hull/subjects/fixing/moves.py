"""What could be done about a mount: another bolt, a plate, a track; each tried in full."""

from collections.abc import Iterable, Iterator, Mapping

from pydantic import JsonValue

from neat_hull.model.findings import Finding
from neat_hull.model.fixing import FastenBy, Mount, Plate
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.subject import Tries, Work, named_in
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.bending import plate_side_needed_m
from neat_hull.subjects.fixing.figures import Judged, judged, wobble_key
from neat_hull.subjects.fixing.joining import DRILLED, mounted
from neat_hull.subjects.fixing.pulling import held_out_m
from neat_hull.subjects.fixing.rules import hole_part, mount_part

_STEP_M = 0.01  # plates are cut to whole centimetres
PLATE_MM = 3.0
_LEAST_PLATE_M = 0.06
_ROUND_M = 0.04  # that a plate reaches past its base, both sides together


def tries(_ev: Evaluated, finding: Finding) -> Tries:
    """What is named."""
    return Tries(named_in(finding))


def works(ev: Evaluated, finding: Finding) -> Iterable[Work]:
    """What could be changed of a mount for a finding."""
    if finding.code.startswith("noise-"):
        if finding.thing_id is not None:
            yield _padded(ev, finding.thing_id)
        return
    if finding.code == "hole-idle":
        yield from _plugged(ev, finding)
        return
    for one in ev.once(judged):
        if finding.key.endswith(f":{mount_part(one)}"):
            found = _undrilled if finding.code == "fixing-no-drill" else bettered
            yield from (_work(ev, one, told, fields) for told, fields in found(ev, one))
        elif finding.code == "hole-no-hand" and one.fixed.thing_id == finding.thing_id:
            nuts = Said.of("Rivet nuts, set from outside")
            yield _work(ev, one, nuts, {"by": "rivet nut", "size": "M6"})


Fields = dict[str, JsonValue]


def plate_needed_m(ev: Evaluated, one: Judged) -> float | None:
    """The side of the smallest square of aluminium that keeps a drilled mount within its limit."""
    fix = one.fixed
    if fix.by not in DRILLED:
        return None
    limit, stuff = ev.table[wobble_key(fix)].fine, typical.stuff_of("aluminium", PLATE_MM)
    return ev.again(
        ("plate needed", fix.key),
        one,
        lambda: plate_side_needed_m(mounted(fix.geometry).base, fix.situations, limit, stuff),
    )


def bettered(ev: Evaluated, one: Judged) -> Iterator[tuple[Said, Fields]]:
    """What makes a mount stiffer or stronger, the lightest first."""
    geometry = one.fixed.geometry
    if geometry.bolts_m and len(geometry.bolts_m) == 1:
        longer = max(geometry.length_m, 0.10)
        yield (
            Said.of("Two bolts, on a base {} long", length=longer),
            {
                "count": 2,
                "bolts": None,
                "shape": "rect",
                "length_m": longer,
                "width_m": max(0.04, min(geometry.width_m, 0.06)),
            },
        )
    side = None if geometry.plate is not None else plate_needed_m(ev, one)
    if side is not None:
        least = max(_LEAST_PLATE_M, geometry.length_m + _ROUND_M)  # less does nothing
        needed = _STEP_M * int(max(side, least) / _STEP_M + 0.999)
        plate = Plate(length_m=needed, width_m=needed, thickness_mm=PLATE_MM)
        yield (
            Said.of("A plate of aluminium behind, {} square", length=needed),
            {"plate": plate.model_dump(mode="json")},
        )
    if len(geometry.bolts_m) in (1, 2):
        yield (
            Said.of("Four bolts"),
            {
                "count": 4,
                "bolts": None,
                "shape": "rect",
                "length_m": max(geometry.length_m, 0.10),
                "width_m": max(geometry.width_m, 0.06),
            },
        )
    yield from _shorter(one)
    wider = 1.5 * geometry.length_m
    if wider <= 0.25:
        yield (
            Said.of("A base {} long", length=wider),
            {
                "length_m": wider,
                "width_m": min(0.25, 1.5 * geometry.width_m),
                "bolts": None,
            },
        )
    if one.fixed.by in ("screw", "well nut", "tape", "strap"):
        yield (
            Said.of("Bolts right through, with washers"),
            {
                "by": "through bolt",
                "size": "M6",
                "bolts": None,
            },
        )


_SHORTER = 0.7
_ARM_M = 0.08  # what stands no farther out has no arm to shorten


def _shorter(one: Judged) -> Iterator[tuple[Said, Fields]]:
    """On an arm that holds it less far out."""
    chop = next((each for each in one.fixed.situations if each.name == "chop"), None)
    if chop is None:
        return
    weights = [(-force[2], at) for force, at in chop.pulls]
    arm_m = _SHORTER * held_out_m(weights)
    if arm_m >= _SHORTER * _ARM_M:
        yield Said.of("Held {} out, on a shorter arm", length=arm_m), {"arm_m": arm_m}


def _undrilled(ev: Evaluated, one: Judged) -> Iterator[tuple[Said, Fields]]:
    ways: tuple[tuple[FastenBy, str], ...] = (
        ("glue", "Glued down"),
        ("tape", "On tape"),
        ("strap", "Strapped down"),
    )
    for by, words in ways:
        yield Said.of(words), {"by": by, "bolts": None, "plate": None}


def _work(ev: Evaluated, one: Judged, words: Said, fields: Fields) -> Work:
    """A mount with other fields; it becomes one that somebody has described."""
    fix, plan = one.fixed, ev.setup.fixing
    patch = fields if fix.spec.by is not None else {"by": fix.by} | fields
    new = specified(one, patch)
    if fix.thing_id is not None:
        section = plan.model_copy(update={"mounts": {**plan.mounts, fix.thing_id: new}})
        return Work(words, {"fixing": section}, {"fixing": {"mounts": {str(fix.thing_id): patch}}})
    name = fix.fitting or ""
    section = plan.model_copy(update={"fittings": {**plan.fittings, name: new}})
    return Work(words, {"fixing": section}, {"fixing": {"fittings": {name: patch}}})


def specified(one: Judged, fields: Mapping[str, object]) -> Mount:
    """What would be kept of a mount with other fields."""
    named = {"by": one.fixed.by} | one.fixed.spec.model_dump(exclude={"by"}) | _python(fields)
    if one.fixed.spec.by is not None and "by" not in fields:
        named["by"] = one.fixed.spec.by
    return Mount.model_validate(named)


def _python(patch: Mapping[str, object]) -> dict[str, object]:
    """A patch as the model takes it: a plate whole."""
    return {
        k: Plate.model_validate(v) if k == "plate" and v is not None else v
        for k, v in patch.items()
    }


def _padded(ev: Evaluated, thing_id: int) -> Work:
    plan = ev.setup.fixing
    new = plan.mounts.get(thing_id, Mount()).model_copy(update={"pad": True})
    section = plan.model_copy(update={"mounts": {**plan.mounts, thing_id: new}})
    return Work(
        Said.of("A mat or a pad under it"),
        {"fixing": section},
        {"fixing": {"mounts": {str(thing_id): {"pad": True}}}},
    )


def _plugged(ev: Evaluated, finding: Finding) -> Iterator[Work]:
    plan = ev.setup.fixing
    for name, hole in plan.holes.items():
        if not finding.key.endswith(f":{hole_part(name)}"):
            continue
        filled = hole.model_copy(update={"state": "filled"})
        section = plan.model_copy(update={"holes": {**plan.holes, name: filled}})
        yield Work(
            Said.of("Plug it"),
            {"fixing": section},
            {"fixing": {"holes": {name: {"state": "filled"}}}},
        )
