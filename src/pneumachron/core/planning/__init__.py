"""From a request to a plan: how the meat lies, liquid, cook time, release, how sure, what if."""
