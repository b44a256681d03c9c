"""What is asked about a boat alone: its calibration, and tables of its offsets."""

from neat_hull.api.gear import Table
from neat_hull.api.routes import routes
from neat_hull.files.offsets import read_offsets
from neat_hull.model.boat import Boat, OffsetStation
from neat_hull.model.calibration_report import CalibrationReport
from neat_hull.subjects.calibration.figures import report

router = routes("boat", "/boat")


@router.post("/calibration")
def calibration(body: Boat) -> CalibrationReport:
    """Fit the tests of a boat, kept or not; computes and stores nothing."""
    return report(body)


@router.post("/offsets")
def offsets(body: Table) -> list[OffsetStation]:
    """Read a table of hull offsets; lines that cannot be read are named."""
    return read_offsets(body.text)
