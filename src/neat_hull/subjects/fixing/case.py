"""What a bare case comes to: `neat-hull mount`."""

from dataclasses import asdict
from typing import Any

from neat_hull.model.mount_case import CaseMount, MountCase
from neat_hull.subjects.fixing.bending import plate_side_needed_m
from neat_hull.subjects.fixing.holding import Held, Mounted
from neat_hull.subjects.fixing.holes import holes
from neat_hull.subjects.fixing.loading import Loading
from neat_hull.subjects.fixing.order import Task, ordered
from neat_hull.subjects.fixing.requiring import require_case

Row = dict[str, Any]


def mount_report(case: MountCase) -> Row:
    """All that the case comes to. Raises InputErrors, or NoOrder for steps in a circle."""
    require_case(case)
    tasks = {one.id: Task(one.needs, one.hands_min, one.wait_min) for one in case.steps}
    return {
        "mounts": [_mount(one) for one in case.mounts],
        "holes": [asdict(one) for one in holes(case)],
        "holes_new": sum(one.new for one in case.holes),
        "holes_idle": [one.name for one in case.holes if one.used_by is None],
        "steps": asdict(ordered(tasks)) if tasks else None,
    }


def _mount(one: CaseMount) -> Row:
    mounted, loads = Mounted(one), [Loading.of(each) for each in one.situations]
    held = mounted.held(loads)
    return {
        "name": one.name,
        "situations": [_situation(each) for each in held],
        "least": min(each.least for each in held),
        "worst_tilt_deg": max(each.tilt_deg for each in held),
        "plate_side_needed_m": plate_side_needed_m(
            mounted.base, loads, one.tilt_limit_deg, one.plate_to_try
        ),
    }


def _situation(held: Held) -> Row:
    row = asdict(held)
    del row["duration"]
    row["bolts"] = [{"tension_n": pull, "shear_n": shear} for pull, shear in held.bolts]
    return row
