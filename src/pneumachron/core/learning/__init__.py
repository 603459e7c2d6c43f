"""What a log teaches about this household."""
