"""Through the surf: the same gear arranged a second time, low, shut in and tied."""

from neat_hull.rig.subject import Subject
from neat_hull.subjects.surf.limits import LIMITS

SUBJECT = Subject("surf", section="surf", limits=LIMITS)
