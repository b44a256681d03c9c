"""What a mount case must be before it means anything."""

from collections.abc import Iterator, Sequence

from neat_hull.errors import InputError, InputErrors
from neat_hull.model.mount_case import CaseForce, CaseMount, Hold, MountCase


def require_case(case: MountCase) -> None:
    """Raises InputErrors naming each field by its path."""
    if not (case.mounts or case.holes or case.steps):
        raise InputErrors([InputError("", None, "has no mounts, holes or steps: nothing to do")])
    wrong = [
        *(error for i, one in enumerate(case.mounts) for error in _mount(f"mounts[{i}]", one)),
        *_holes(case),
        *_steps(case),
    ]
    if wrong:
        raise InputErrors(wrong)


def _missing(at: str, of: object, fields: Sequence[str], why: str) -> Iterator[InputError]:
    for field in fields:
        if getattr(of, field) is None:
            yield InputError(f"{at}.{field}", None, why)


def _mount(at: str, one: CaseMount) -> Iterator[InputError]:
    if one.base.shape == "rect":
        yield from _missing(f"{at}.base", one.base, ["width_m"], "is missing of a rectangle")
    yield from _hold(f"{at}.hold", one)
    if one.wall.core_mm >= one.wall.thickness_mm:
        why = "must be thinner than the wall"
        yield InputError(f"{at}.wall.core_mm", one.wall.core_mm, why)
    for i, situation in enumerate(one.situations):
        for j, force in enumerate(situation.forces):
            yield from _force(f"{at}.situations[{i}].forces[{j}]", force)


def _hold(at: str, one: CaseMount) -> Iterator[InputError]:
    hold = one.hold
    if hold.kind == "bond":
        fields = ["tension_mpa", "shear_mpa", "by_duration"]
        yield from _missing(at, hold, fields, "is missing of a bond")
        return
    yield from _missing(at, hold, ["bolts_m", "fastener"], "is missing of bolts")
    fastener = hold.fastener
    if fastener is not None:
        if fastener.washer_mm <= fastener.d_mm:
            why = "must be wider than the bolt"
            yield InputError(f"{at}.fastener.washer_mm", fastener.washer_mm, why)
        needs = {"screw": ["grip_mm"], "rated": ["rated_n"], "through": []}[fastener.kind]
        yield from _missing(
            f"{at}.fastener", fastener, needs, f"is missing of a {fastener.kind} fastener"
        )
    yield from _bolts(at, hold, one)


def _bolts(at: str, hold: Hold, one: CaseMount) -> Iterator[InputError]:
    bolts = hold.bolts_m or []
    for i, (u, v) in enumerate(bolts):
        half = one.base.length_m / 2
        if one.base.shape == "round":
            inside = u * u + v * v < half * half
        else:
            inside = abs(u) < half and abs(v) < (one.base.width_m or one.base.length_m) / 2
        if not inside:
            yield InputError(f"{at}.bolts_m[{i}]", (u, v), "does not lie inside the base")
        if (u, v) in bolts[:i]:
            yield InputError(f"{at}.bolts_m[{i}]", (u, v), "is there twice")


def _force(at: str, one: CaseForce) -> Iterator[InputError]:
    if one.force_n is not None and one.mass_kg is None and one.accel_g is None:
        return
    if one.force_n is None and one.mass_kg is not None and one.accel_g is not None:
        return
    yield InputError(at, None, "needs either force_n, or mass_kg and accel_g")


def _twice(at: str, key: str, names: Sequence[str]) -> Iterator[InputError]:
    seen: set[str] = set()
    for i, name in enumerate(names):
        if name in seen:
            yield InputError(f"{at}[{i}].{key}", name, f"{name!r} is there twice")
        seen.add(name)


def _holes(case: MountCase) -> Iterator[InputError]:
    yield from _twice("holes", "name", [one.name for one in case.holes])
    if case.holes and case.rules is None:
        yield InputError("rules", None, "is missing beside holes")


def _steps(case: MountCase) -> Iterator[InputError]:
    ids = [one.id for one in case.steps]
    yield from _twice("steps", "id", ids)
    known = set(ids)
    for i, one in enumerate(case.steps):
        for j, need in enumerate(one.needs):
            if need not in known:
                yield InputError(f"steps[{i}].needs[{j}]", need, f"{need!r} is no step")
