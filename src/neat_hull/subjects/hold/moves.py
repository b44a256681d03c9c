"""What could be tried so that it holds: the line farther out, more line."""

from collections.abc import Iterable

from neat_hull.model.findings import Finding
from neat_hull.model.said import Said
from neat_hull.rig.evaluated import Evaluated
from neat_hull.rig.held_at import held_at, held_end
from neat_hull.rig.subject import Tries, Work, named_in
from neat_hull.subjects.hold.figures import hold, lies_at
from neat_hull.subjects.hold.gear import tackle

_STEP_M, _SCOPES = 0.05, (5.0, 7.0, 10.0)


def tries(_ev: Evaluated, finding: Finding) -> Tries:
    """What a rope rubs on may move; the rest is cured by line and place."""
    return Tries(named_in(finding)) if finding.code == "hold-rope" else Tries(())


def works(ev: Evaluated, finding: Finding) -> Iterable[Work]:
    """What could be changed of how it is held."""
    if finding.code == "hold-oblique":
        yield from _farther_out(ev)
    elif finding.code == "hold-by-the-stern":
        bow = ev.rigged.floating.hull.x_fwd_m
        yield led_to(ev, bow, Said.of("Lead the line to the bow"))
    elif finding.code in ("hold-short-line", "hold-lifts", "hold-anchor"):
        yield from _more_line(ev)


def led_to(ev: Evaluated, x_m: float, words: Said) -> Work:
    """The line led elsewhere."""
    section = ev.setup.hold.model_copy(update={"at_x_m": x_m})
    return Work(words, {"hold": section}, {"hold": {"at_x_m": x_m}})


def _farther_out(ev: Evaluated) -> Iterable[Work]:
    """The least way toward its end from which it lies straight; and the bow."""
    hull, fine = ev.rigged.floating.hull, ev.table["lies oblique"].fine
    x, bow = ev.once(held_at)[0], held_end(ev.setup) == "bow"
    way, end = (1.0, hull.x_fwd_m) if bow else (-1.0, hull.x_aft_m)
    for n in range(1, int(abs(end - x) / _STEP_M) + 1):
        at = x + way * n * _STEP_M
        found = lies_at(ev, at)
        if found is None:
            return
        off = abs(found.pull_off_bow_deg)
        if (off if bow else 180.0 - off) <= fine:
            where = "bow" if bow else "stern"
            words = Said.of(f"Lead the line {{}} farther to the {where}", length=n * _STEP_M)
            yield led_to(ev, round(at, 3), words)
            break
    if not bow:
        yield led_to(ev, hull.x_fwd_m, Said.of("Lead the line to the bow"))


def _more_line(ev: Evaluated) -> Iterable[Work]:
    """Five, seven and ten times the height, as far as there is line."""
    found, of, n = ev.once(hold), ev.once(tackle), ev.setup.demands
    if found is None or found.anchor is None or of is None:
        return
    most = of.all_m / found.anchor.height_m
    wanted = [one for one in _SCOPES if found.anchor.scope + 0.1 <= one <= most]
    for one in wanted:
        section = n.model_copy(update={"scope": one})
        more = (one - found.anchor.scope) * found.anchor.height_m
        yield Work(
            Said.of("{} more line out", far=more),
            {"demands": section},
            {"demands": {"scope": one}},
        )
