"""A pot that is cooking now: stepped in time, with what its makers and its cook do not know."""
