"""What is typical of drink, ice and lids: general practice, shown as estimates."""

from neat_hull.model.day_plan import Lid, Walls

DRINK_KG_H = (0.4, 0.8)  # cool, and in the heat
HOT_C = 26.0
FOOD_KG_H = 0.15
UA_W_K: dict[Walls, float] = {"soft bag": 1.6, "thin box": 0.9, "thick box": 0.4}
SUN_K: dict[Lid, float] = {"shade": 0.0, "light lid": 3.0, "dark lid": 8.0}
FISH_C, FISH_J_KG_K = 18.0, 3600.0  # where nobody has measured the water; lean fish
IN_WATER_SHARE = 0.05  # of its weight, that a fish on a stringer pulls with
WET_BY_H = 3.0  # until clothes are as wet as they get
LITTLE_WATER_KG, LONG_H = 0.5, 5.0
COCKPIT_KG = 5.0
CATCH_WITHIN_H = 0.25  # ice that lasts so close to home is taken as enough
