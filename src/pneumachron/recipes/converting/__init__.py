"""Converting: named rules turn an understood recipe into one for the pot, mark by mark."""
