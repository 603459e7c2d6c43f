"""Physics of water, heat and meat; knows no cut, no cooker and no cook."""
