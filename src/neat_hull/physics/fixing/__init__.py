"""What holds a thing to a wall: bolts under a base that presses, and the wall that bends."""
