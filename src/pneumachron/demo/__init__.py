"""The demo: the Marrow Lane choir, in an upland village at 1,150 m. Everybody is made up."""
