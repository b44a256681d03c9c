"""The order of the work: from a pencil mark to the hose, with tools, bits, parts and time.

Nothing is closed before what lies behind it is done: a plate goes in before its bolts, a wire
before the sealant of its gland, and the hose comes last of all.
"""

from collections import defaultdict
from collections.abc import Iterator
from dataclasses import dataclass, field
from math import ceil

from neat_hull.errors import NoOrder
from neat_hull.model.fixing_figures import Need, WorkPlan, WorkStep
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.subjects.fixing import typical
from neat_hull.subjects.fixing.joining import BONDED
from neat_hull.subjects.fixing.mounting import Fixed, fixed
from neat_hull.subjects.fixing.order import Task, ordered
from neat_hull.subjects.fixing.rules import DRILLING, MAKER
from neat_hull.subjects.power.figures import routes

# Usual prices, in whatever one pays in; rough, and only where they matter to a list.
PRICES: dict[str, float] = {
    "bolt": 0.5, "washer": 0.2, "lock nut": 0.2, "rivet nut": 0.6, "well nut": 1.5, "screw": 0.2,
    "track bolt": 4.0, "sealant": 0.12, "plate": 120.0, "loom": 2.0,
    "gland": 4.0, "terminal": 0.4, "tape": 6.0, "glue": 0.5, "strap": 6.0, 
}  # fmt: skip
_SEAL_ML = 2.0  # of sealant, a hole
_GLUE_ML = 30.0
_LENGTH_OVER_MM = 12.0  # of a bolt: base, washer, nut and two threads


class _Needs:
    """What to have ready, added up: by name and unit, with what one of it usually costs."""

    def __init__(self) -> None:
        self.counts: defaultdict[tuple[str, str], float] = defaultdict(float)
        self.each: dict[tuple[str, str], float] = {}

    def add(self, what: str, count: float, each: float, unit: str = "pcs") -> None:
        self.counts[what, unit] += count
        self.each[what, unit] = each

    def rows(self) -> list[Need]:
        return [
            Need.model_validate(
                {"what": what, "unit": unit, "count": count}
                | {"price": round(self.each[what, unit] * count, 2)}
            )
            for (what, unit), count in self.counts.items()
        ]


@dataclass
class _Step:
    code: str
    words: Said
    of: str
    needs: list[str]
    hands_min: float
    wait_min: float = 0.0
    tools: list[str] = field(default_factory=list)
    bit_mm: float | None = None
    parts: list[str] = field(default_factory=list)


def work_plan(ev: Evaluated) -> WorkPlan:
    """All steps in the order that one pair of hands takes them."""
    needs = _Needs()
    steps = [*_mounts(ev, needs), *_wires(ev, needs)]
    if steps:
        last = [step.code for step in steps]
        hose = Said.of("Hose it down from every side, and look inside with a light")
        steps.append(_Step("test:hose", hose, "", last, typical.TEST_MIN, tools=["hose", "lamp"]))
    done = ev.setup.fixing.done
    tasks = {step.code: Task(step.needs, step.hands_min, step.wait_min) for step in steps}
    try:
        order = ordered(tasks)
    except NoOrder as error:
        return WorkPlan(
            steps=[],
            hands_min=0,
            finish_min=0,
            longest_min=0,
            left_min=0,
            bits_mm=[],
            tools=[],
            needs=[],
            cautions=[MAKER, DRILLING],
            trouble=str(error),
        )
    by_code = {step.code: step for step in steps}
    rows = [
        WorkStep(
            code=code,
            words=one.words,
            of=one.of,
            needs=one.needs,
            hands_min=one.hands_min,
            wait_min=one.wait_min,
            start_min=start,
            tools=one.tools,
            bit_mm=one.bit_mm,
            parts=one.parts,
            done_on=done.get(code),
        )
        for code, start in zip(order.order, order.start_min, strict=True)
        for one in (by_code[code],)
    ]
    return WorkPlan(
        steps=rows,
        hands_min=order.hands_min,
        finish_min=order.finish_min,
        longest_min=order.longest_min,
        left_min=sum(row.hands_min for row in rows if row.done_on is None),
        bits_mm=list(dict.fromkeys(row.bit_mm for row in rows if row.bit_mm is not None)),
        tools=list(dict.fromkeys(tool for row in rows for tool in row.tools)),
        needs=needs.rows(),
        cautions=[MAKER, DRILLING],
        trouble=None,
    )


def planned(one: Fixed) -> bool:
    """Whether a mount is still to be made."""
    return one.spec.by is not None and not one.spec.drilled


def _mounts(ev: Evaluated, needs: _Needs) -> Iterator[_Step]:
    for one in ev.once(fixed):
        if planned(one):
            yield from _mount(one, needs)


def _mount(one: Fixed, needs: _Needs) -> Iterator[_Step]:
    geometry, key, name = one.geometry, one.key, one.name
    count, by, size = len(geometry.bolts_m), one.by, geometry.size
    if by in BONDED:
        if by == "tape":
            needs.add(f"tape for {name}", 1, PRICES["tape"])
        else:
            needs.add(f"glue for {name}", _GLUE_ML, PRICES["glue"], "ml")
        yield _Step(
            f"clean:{key}",
            Said.of(f"{name}: clean and roughen its place"),
            name,
            [],
            10,
            tools=["solvent wipe", "abrasive pad"],
        )
        waits = typical.SEALANT_SETS_MIN
        yield _Step(
            f"stick:{key}",
            Said.of(f"{name}: press it down, and let it set"),
            name,
            [f"clean:{key}"],
            5,
            waits,
            ["roller"],
        )
        return
    if by in ("strap", "clamp"):
        needs.add(f"{by} for {name}", 1, PRICES["strap"])
        yield _Step(f"tie:{key}", Said.of(f"{name}: {by} it down, pull at it"), name, [], 5)
        return
    if by == "track bolt":
        needs.add(f"track bolt and knob {size}", count, PRICES["track bolt"])
        yield _Step(
            f"bolt:{key}",
            Said.of(f"{name}: slide it into the track, tighten by hand"),
            name,
            [],
            typical.BOLT_MIN,
            parts=[f"{count} track bolts {size}"],
        )
        return
    yield from _drilled(one, needs)


def _drilled(one: Fixed, needs: _Needs) -> Iterator[_Step]:
    geometry, key, name = one.geometry, one.key, one.name
    count, by, size = len(geometry.bolts_m), one.by, geometry.size
    hole = typical.hole_mm(by, size)
    yield _Step(
        f"mark:{key}",
        Said.of(f"{name}: tape the template down, mark {count} holes"),
        name,
        [],
        typical.MEASURE_MIN,
        tools=["template", "masking tape", "centre punch"],
    )
    yield _Step(
        f"drill:{key}",
        Said.of(f"{name}: drill {count} holes, with a stop"),
        name,
        [f"mark:{key}"],
        typical.DRILL_MIN * count,
        tools=["drill", "drill stop", "goggles"],
        bit_mm=hole,
    )
    yield _Step(
        f"deburr:{key}",
        Said.of(f"{name}: deburr the holes, round their edges"),
        name,
        [f"drill:{key}"],
        typical.DEBURR_MIN * count,
        tools=["deburring tool"],
    )
    before = [f"deburr:{key}"]
    if one.spec.plate is not None:
        plate = one.spec.plate
        area = plate.length_m * plate.width_m
        size_cm = f"{plate.length_m * 100:.0f} × {plate.width_m * 100:.0f} cm"
        what = f"plate of {plate.stuff}, {size_cm}, {plate.thickness_mm:g} mm"
        needs.add(what, 1, round(PRICES["plate"] * area, 2))
        yield _Step(
            f"plate:{key}",
            Said.of(f"{name}: cut the plate, drill it through the same template, break its edges"),
            name,
            [f"mark:{key}"],
            typical.PLATE_MIN,
            tools=["hacksaw", "file", "drill"],
            bit_mm=hole,
        )
        before.append(f"plate:{key}")
    seal = one.spec.seal or "polyether"
    if seal != "none":
        needs.add(f"{seal} sealant", _SEAL_ML * count, PRICES["sealant"], "ml")
    parts = _hardware(one, needs)
    words = (
        f"{name}: seal each neck, bolt it down, wipe off"
        if seal != "none"
        else f"{name}: bolt it down"
    )
    minutes = typical.BOLT_MIN + (typical.SEAL_MIN if seal != "none" else 0.0)
    tools = ["rivet nut setter", "hex key"] if by == "rivet nut" else ["spanner", "screwdriver"]
    yield _Step(f"bolt:{key}", Said.of(words), name, before, minutes * count, 0, tools, parts=parts)
    if seal == "polyether":  # only the hose waits for it
        words, bolted = f"{name}: let the sealant set", [f"bolt:{key}"]
        yield _Step(f"set:{key}", Said.of(words), name, bolted, 0, typical.SEALANT_SETS_MIN)


def _hardware(one: Fixed, needs: _Needs) -> list[str]:
    geometry, count = one.geometry, len(one.geometry.bolts_m)
    thick = geometry.wall[1] + (geometry.plate[3] if geometry.plate else 0.0)
    long_mm = 5 * ceil((thick + _LENGTH_OVER_MM) / 5)
    if one.by == "screw":
        rows = {f"screw 4.8 × {long_mm} mm, stainless": count}
    else:
        rows = {f"bolt {geometry.size} × {long_mm} mm, stainless": count}
        if one.by == "through bolt":
            rows[f"washer {geometry.size}, {geometry.washer_mm:g} mm wide"] = 2 * count
            rows[f"lock nut {geometry.size}"] = count
        else:
            rows[f"{one.by} {geometry.size}"] = count
    for what, number in rows.items():
        kind = next(word for word in PRICES if what.startswith(word))
        needs.add(what, number, PRICES[kind])
    return [f"{number} × {what}" for what, number in rows.items()]


def _wires(ev: Evaluated, needs: _Needs) -> Iterator[_Step]:
    """Laid before glands are sealed; joined when both of its ends are mounted."""
    lying = ev.once(routes)
    todo = {one.thing_id: one.key for one in ev.once(fixed) if planned(one) and one.drills}
    for key, route in lying.items():
        wire = ev.setup.power.conductors[key]
        code, name = f"wire {key}", f"Wire to {ev.name(wire.end)}"
        glands = sum(typical.wire_hole_mm(by) is not None for by in route.held)
        before: list[str] = []
        if glands:
            needs.add("gland for a cable of 4 to 8 mm", glands, PRICES["gland"])
            yield _Step(
                f"drill:{code}",
                Said.of(f"{name}: drill {glands} holes for glands"),
                name,
                [],
                typical.DRILL_MIN * glands,
                tools=["step drill", "goggles"],
                bit_mm=typical.GLAND_MM,
            )
            before.append(f"drill:{code}")
        metres = route.length_m
        yield _Step(
            f"lay:{code}",
            Said.of(f"{name}: lay and clip {{}}", length=metres),
            name,
            before,
            typical.ROUTE_MIN_PER_M * metres,
            tools=["clips"],
        )
        if glands:
            yield _Step(
                f"seal:{code}",
                Said.of(f"{name}: tighten and seal its glands"),
                name,
                [f"lay:{code}"],
                typical.SEAL_MIN * glands,
                tools=["spanner"],
            )
        ends = [f"bolt:{todo[end]}" for end in (wire.start, wire.end) if end in todo]
        needs.add("terminal for a wire", 4, PRICES["terminal"])
        yield _Step(
            f"crimp:{code}",
            Said.of(f"{name}: crimp and connect, the fuse last"),
            name,
            [f"lay:{code}", *ends],
            typical.CRIMP_MIN,
            tools=["crimping pliers", "heat shrink"],
            parts=["4 × terminal"],
        )
        if wire.loom:
            needs.add("loom", metres, PRICES["loom"], "m")
            yield _Step(
                f"loom:{code}",
                Said.of(f"{name}: put it in its loom"),
                name,
                [f"crimp:{code}"],
                typical.LOOM_MIN_PER_M * metres,
            )
