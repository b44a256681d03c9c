"""What a trip asks for before anything else, and whether it is there."""

from collections.abc import Iterator

from neat_hull.model.money import MustRow
from neat_hull.model.money_plan import minor
from neat_hull.model.said import Verdict
from neat_hull.model.thing import Serves
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.limits import RANK
from neat_hull.subjects.basics.rules import RULES, SERVICES

# Beside what the basics ask: with any line aboard, and of the same harm in this order (ours).
_KNIFE: tuple[Serves, Verdict] = ("knife", "watch")
_HARM: tuple[Serves, ...] = (
    "PFD", "warm clothing", "call", "light", "spare paddle", "knife", "whistle", "first aid",
    "tow line",
)  # fmt: skip


def musts(ev: Evaluated) -> list[MustRow]:
    """The worst to go without first. What serves twice is paid once."""
    rows = sorted(_musts(ev), key=lambda row: (-RANK[row.verdict], _HARM.index(row.service)))
    paid: set[int | None] = set()
    for n, row in enumerate(rows):
        if row.thing_id in paid:
            rows[n] = row.model_copy(update={"minor": 0})
        paid.add(row.thing_id)
    return rows


def _musts(ev: Evaluated) -> Iterator[MustRow]:
    things = ev.setup.things.items()
    for service, verdict in asked(ev).items():
        serving = [(i, one) for i, one in things if service in one.serves]
        have = [i for i, one in serving if one.bought]
        prices = sorted(
            ((minor(one.price), i) for i, one in serving if one.price is not None),
            key=lambda row: (row[0] or 0, row[1]),
        )
        if have:
            yield MustRow(service=service, state="have", thing_id=have[0], minor=0,
                          verdict=verdict)  # fmt: skip
        elif serving:
            price, thing_id = prices[0] if prices else (None, serving[0][0])
            yield MustRow(service=service, state="buy", thing_id=thing_id, minor=price,
                          verdict=verdict)  # fmt: skip
        else:
            yield MustRow(service=service, state="missing", thing_id=None, minor=None,
                          verdict=verdict)  # fmt: skip


def asked(ev: Evaluated) -> dict[Serves, Verdict]:
    """What the basics would miss if nothing served, with what they would say of it."""
    things = {i: one.model_copy(update={"serves": []}) for i, one in ev.setup.things.items()}
    bare = Evaluated(ev.setup.model_copy(update={"things": things}), ev.table, ev.beside)
    found: dict[Serves, Verdict] = dict((_KNIFE,))
    for rule in RULES:
        service = SERVICES.get(rule.code)
        if service is None:
            continue
        for one in bare.once(rule.check):
            # A temperature that nobody knows is no lack of clothing.
            if service == "warm clothing" and ev.setup.water_temp_c is None:
                continue
            worse = found.get(service)
            if worse is None or RANK[one.verdict] > RANK[worse]:
                found[service] = one.verdict
    return found
