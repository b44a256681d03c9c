"""What nobody has looked at: said, so that a list without findings is not taken for safe."""

from neat_hull.rig.evaluated import Evaluated

# The air cools by its wind from a walking pace on, and so reckoned only when it is cold.
_BREEZE_KM_H, _COLD_AIR_C = 4.8, 10.0

# None of these is in any figure here.
_NEVER = (
    "weather, gusts and waves",
    "tide and river level",
    "your health, and how well you swim",
    "whether gear works",
)


def air_c(ev: Evaluated) -> float | None:
    """The coldest air of the trip, °C: as said, or of the phases of its day; None where unsaid."""
    if ev.setup.safety.air_temp_c is not None:
        return ev.setup.safety.air_temp_c
    return min((one.air_c for one in ev.setup.outing.phases or ()), default=None)


def felt_c(air: float, wind_m_s: float) -> float:
    """How cold air feels on dry skin in a wind, °C, no lower than it is where it is mild or calm.

    Wind chill, Osczevski and Bluestein (2005), as weather services use it; wet skin is colder yet.
    """
    km_h = 3.6 * wind_m_s
    if air > _COLD_AIR_C or km_h < _BREEZE_KM_H:
        return air
    blown = float(km_h**0.16)
    return min(air, 13.12 + 0.6215 * air - 11.37 * blown + 0.3965 * air * blown)


def unchecked(ev: Evaluated) -> list[str]:
    """What was not checked on this trip: what nobody said, then what no figure here knows."""
    plan, setup = ev.setup.safety, ev.setup
    unsaid = {
        "water temperature": setup.water_temp_c,
        "air temperature": air_c(ev),
        "how far from shore": plan.shore_m,
        "whether you go alone": plan.alone,
        "what floats the hull when full": plan.flotation,
        "the day, and dates against it": setup.day,
        "what the authority here asks for": plan.own_list or None,
    }
    return [name for name, said in unsaid.items() if said is None] + list(_NEVER)
