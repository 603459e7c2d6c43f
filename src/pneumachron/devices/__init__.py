"""Devices of a kitchen behind small protocols, and the simulated ones that ship with the app."""
