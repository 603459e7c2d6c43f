"""What goes over the wire: closed, frozen, every list and text bounded."""
