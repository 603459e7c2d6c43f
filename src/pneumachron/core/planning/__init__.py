"""From a wish to a plan: how the meat lies, liquid, cook time, release, how sure, and what if."""
