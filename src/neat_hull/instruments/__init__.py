"""Outside devices: a reader of NMEA 0183 over TCP, and a simulated box to try it with."""
