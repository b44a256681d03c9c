"""What nobody has looked at: said, so that a list without findings is not taken for safe."""

from neat_hull.rig.evaluated import Evaluated

# None of these is in any figure here.
_NEVER = (
    "weather, gusts and waves",
    "tide and river level",
    "your health, and how well you swim",
    "whether gear works",
)


def unchecked(ev: Evaluated) -> list[str]:
    """What was not checked on this trip: what nobody said, then what no figure here knows."""
    plan, setup = ev.setup.safety, ev.setup
    unsaid = {
        "water temperature": setup.water_temp_c,
        "how far from shore": plan.shore_m,
        "whether you go alone": plan.alone,
        "what floats the hull when full": plan.flotation,
        "the day, and dates against it": setup.day,
        "what the authority here asks for": plan.own_list or None,
    }
    return [name for name, said in unsaid.items() if said is None] + list(_NEVER)
