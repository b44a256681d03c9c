"""What hides the view."""

from neat_hull.model.base import Answer


class DeadArc(Answer):
    """Bearings off the bow, to port positive, behind which a thing hides the water ahead."""

    thing_id: int
    from_deg: float
    to_deg: float
