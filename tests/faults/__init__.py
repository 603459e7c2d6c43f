"""What breaks: killed, cut short, full, twice at once."""
