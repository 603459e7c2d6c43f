"""Tables, migrations, and one module for each thing that is kept. Sessions come from `db`."""
