"""The steps of a whole cook, made once; Cook, Schedule, Plan and print read them."""
