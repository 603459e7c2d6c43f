"""Words for people: the only place with sentences.

Core and recipes return codes with parameters in SI. `render` makes sentences of them for a reader,
on the way out; nothing that was rendered is ever stored.
"""
