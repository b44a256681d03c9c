"""The shipped demo: an angler, a pile of gear, three boats, and setups of them."""

import tomllib
from importlib.resources import files
from typing import Any

from neat_hull.model.boat import Boat
from neat_hull.model.dates import DatedItem
from neat_hull.model.day_plan import DayPlan
from neat_hull.model.demands import DemandNumbers
from neat_hull.model.fixing import FixingPlan
from neat_hull.model.haul import HaulPlan
from neat_hull.model.judging import Judging
from neat_hull.model.log import TripEntry
from neat_hull.model.money import Purchase
from neat_hull.model.money_plan import MoneyPlan
from neat_hull.model.place import Place
from neat_hull.model.power import Power
from neat_hull.model.safety import SafetyPlan
from neat_hull.model.setup import Angler, SeatPlace, Setup
from neat_hull.model.thing import Thing


def _demo() -> dict[str, Any]:
    text = files("neat_hull").joinpath("catalog/demo.toml").read_text(encoding="utf-8")
    return tomllib.loads(text)


def demo_dates() -> list[DatedItem]:
    """What runs out of its gear, by the same ids."""
    raw = _demo()
    ids = {row["name"]: n for n, row in enumerate(raw["things"], start=1)}
    return [
        DatedItem(**row, thing_id=ids.get(thing))
        for row in raw["dates"]
        for thing in (row.pop("thing", None),)
    ]


def demo_purchases() -> list[Purchase]:
    """What its owner put down of what was bought, by the same ids."""
    raw = _demo()
    ids = {row["name"]: n for n, row in enumerate(raw["things"], start=1)}
    return [
        Purchase(**row, thing_id=ids.get(thing))
        for row in raw["purchases"]
        for thing in (row.pop("thing", None),)
    ]


def demo_trips() -> list[tuple[str, TripEntry]]:
    """A season of trips, each with the name of its setup."""
    raw = _demo()
    ids = {row["name"]: n for n, row in enumerate(raw["things"], start=1)}
    return [(row.pop("setup"), _trip(row, ids)) for row in raw["trips"]]


def _trip(row: Any, ids: dict[str, int]) -> TripEntry:
    marks: dict[int, dict[str, Any]] = {}
    for uses, names in row.pop("uses", {}).items():
        for name in names:
            marks.setdefault(ids[name], {})["uses"] = uses
    for flag, names in row.pop("trouble", {}).items():
        for name in names:
            marks.setdefault(ids[name], {})[flag] = True
    packs = {ids[name]: pack for name, pack in row.pop("packs", {}).items()}
    return TripEntry.model_validate({**row, "marks": marks, "packs": packs})


def demo_care() -> list[tuple[str, str]]:
    """What was looked after of its first boat, and when."""
    return [(row["what"], row["done_on"]) for row in _demo()["care"]]


def demo_setups() -> list[Setup]:
    """Setups that share angler and gear, thing ids the same in each; the first two one boat."""
    raw = _demo()
    angler = Angler.model_validate(raw["angler"])
    boat, seat = _boat(raw["boat"]), SeatPlace.model_validate(raw["seat"])
    things, ids = {}, {}
    for thing_id, row in enumerate(raw["things"], start=1):
        length, width, height = row.pop("size_m")
        things[thing_id] = Thing(**row, length_m=length, width_m=width, height_m=height)
        ids[row["name"]] = thing_id

    def setup(name: str, row: Any, boat: Boat, seat: SeatPlace) -> Setup:
        return Setup(
            name=name,
            boat=boat,
            angler=angler,
            water=row["water"],
            seat=seat,
            things=things,
            demands=DemandNumbers(**row.get("demands", {})),
            judging=Judging(**row.get("judging", {})),
            power=_power(row, ids),
            fixing=_fixing(row, ids),
            outing=_outing(row, ids),
            money=_money(row, ids),
            haul=_haul(row, ids),
            safety=SafetyPlan.model_validate(row.get("safety", {})),
            water_temp_c=row.get("water_temp_c"),
            places={ids[thing]: _place(place, ids) for thing, place in row["places"].items()},
        )

    return [setup(row["name"], row, boat, seat) for row in raw["setups"]] + [
        setup(row["setup"], row, _boat(row["boat"]), SeatPlace.model_validate(row["seat"]))
        for row in raw["others"]
    ]


def _boat(row: Any) -> Boat:
    return Boat.model_validate({"hull_lcg_m": None, "hull_vcg_m": None} | row)


def _power(row: Any, ids: dict[str, int]) -> Power:
    return Power.model_validate(
        {
            "conductors": {
                key: wire | {"start": ids[wire["start"]], "end": ids[wire["end"]]}
                for key, wire in enumerate(row.get("wires", []), start=1)
            },
            "chargers": {
                name: charger | {"battery": ids[charger["battery"]]}
                for name, charger in row.get("chargers", {}).items()
            },
        }
    )


def _fixing(row: Any, ids: dict[str, int]) -> FixingPlan:
    mounts = {ids[thing]: mount for thing, mount in row.get("mounts", {}).items()}
    return FixingPlan.model_validate({"mounts": mounts})


def _haul(row: Any, ids: dict[str, int]) -> HaulPlan:
    plan = row.get("haul", {})
    off = {ids[thing]: leaves for thing, leaves in plan.get("off", {}).items()}
    return HaulPlan.model_validate({**plan, "off": off})


def _money(row: Any, ids: dict[str, int]) -> MoneyPlan:
    plan = row.get("money", {})
    phases = {ids[thing]: phase for thing, phase in plan.pop("phases", {}).items()}
    return MoneyPlan.model_validate({**plan, "phases": phases})


def _outing(row: Any, ids: dict[str, int]) -> DayPlan:
    plan = row.get("outing", {})
    stores = {
        name: store | ({"thing": ids[store["thing"]]} if "thing" in store else {})
        for name, store in plan.get("stores", {}).items()
    }
    return DayPlan.model_validate({**plan, "stores": stores})


def _place(row: Any, ids: dict[str, int]) -> Place:
    on = row.get("on")
    if on is not None and on["kind"] == "thing":
        row["on"] = {"kind": "thing", "thing": ids[on["name"]], "where": on["where"]}
    return Place.model_validate({"z_m": None, "turn_deg": 0.0, "tilt_deg": 0.0} | row)
