"""Where a transducer could hang on this boat."""

from neat_hull.api.routes import routes
from neat_hull.api.state import Db, SetupId
from neat_hull.editing.evaluations import EVALUATIONS
from neat_hull.model.sonar import Schools
from neat_hull.store.setups import load_setup
from neat_hull.subjects.sonar.schools import schools

router = routes("sonar", "/setups/{setup_id}")


@router.get("/sonar")
def sonar(setup_id: SetupId, db: Db) -> Schools:
    """The schools of placing a transducer, each tried on this boat; stores nothing."""
    return Schools(schools=schools(EVALUATIONS.of(load_setup(db, setup_id))))
