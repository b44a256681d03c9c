"""All subjects, a line each, in reading order; each may use the figures of those before it."""

from functools import lru_cache

from neat_hull.errors import InputError
from neat_hull.model.columns import CORE, Column
from neat_hull.model.judging import Hand, Judging, LimitRow, Waters
from neat_hull.rig.limits import Levels, Table, for_profile, rows, with_moved
from neat_hull.rig.rules import Rule
from neat_hull.rig.subject import Subject
from neat_hull.subjects import (
    afloat,
    anchoring,
    basics,
    calibration,
    capsize,
    dates,
    day,
    demands,
    evidence,
    fit,
    fixing,
    glide,
    haul,
    hold,
    load,
    log,
    money,
    power,
    reach,
    rods,
    room,
    sight,
    sonar,
    surf,
    trip,
)

SUBJECTS: tuple[Subject, ...] = (
    load.SUBJECT,
    evidence.SUBJECT,
    demands.SUBJECT,
    afloat.SUBJECT,
    room.SUBJECT,
    sight.SUBJECT,
    rods.SUBJECT,
    fit.SUBJECT,
    reach.SUBJECT,
    capsize.SUBJECT,
    surf.SUBJECT,
    anchoring.SUBJECT,
    basics.SUBJECT,
    dates.SUBJECT,
    trip.SUBJECT,
    power.SUBJECT,
    sonar.SUBJECT,
    fixing.SUBJECT,
    glide.SUBJECT,
    hold.SUBJECT,
    haul.SUBJECT,
    money.SUBJECT,
    day.SUBJECT,
    log.SUBJECT,
    calibration.SUBJECT,
)


def rules() -> list[tuple[Subject, Rule]]:
    """Every rule with its subject, in the order they are asked."""
    return [(subject, rule) for subject in SUBJECTS for rule in subject.rules]


def rule_of(code: str) -> tuple[Subject, Rule]:
    """The rule of a code with its subject. Raises InputError for a code that no rule has."""
    for subject, rule in rules():
        if rule.code == code:
            return subject, rule
    raise InputError("code", code, "no rule has this code")


def subject_of(code: str) -> Subject:
    """The subject that a rule belongs to. Raises InputError for a code that no rule has."""
    return rule_of(code)[0]


def base_limits() -> dict[str, Levels]:
    """Every row of the table of limits, as for a river and somebody used to it."""
    return _registered(SUBJECTS)


def _registered(subjects: tuple[Subject, ...]) -> dict[str, Levels]:
    return {key: levels for subject in subjects for key, levels in subject.limits.items()}


@lru_cache(maxsize=8)
def _profile(subjects: tuple[Subject, ...], waters: Waters, hand: Hand) -> Table:
    return for_profile(_registered(subjects), waters, hand)


def limits_for(judging: Judging) -> Table:
    """The limits of a profile, with what the user has moved for it."""
    return with_moved(_profile(SUBJECTS, judging.waters, judging.hand), judging)


def limit_rows(judging: Judging) -> list[LimitRow]:
    """The table as a person sees it."""
    return rows(_profile(SUBJECTS, judging.waters, judging.hand), limits_for(judging))


def require_known_limits(judging: Judging) -> None:
    """Refuse a moved limit that no subject has. Raises InputError naming it."""
    known = base_limits()
    for i, one in enumerate(judging.moved):
        if one.key not in known:
            allowed = ", ".join(repr(key) for key in known)
            raise InputError(f"judging.moved[{i}].key", one.key, f"must be one of {allowed}")


def columns() -> tuple[Column, ...]:
    """Columns of a table of gear: those of all gear, then each subject's own."""
    return (*CORE, *(column for subject in SUBJECTS for column in subject.columns))
