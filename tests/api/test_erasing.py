"""What was deleted can be put back until it is erased for good."""

from io import BytesIO
from pathlib import Path

from fastapi.testclient import TestClient
from PIL import Image

from tests.conftest import BRISKET


def test_deleted_things_are_erased_and_nothing_else(client: TestClient, tmp_path: Path) -> None:
    kept, gone = (
        client.post("/api/plans", json={"name": name, "inputs": BRISKET}).json()["id"]
        for name in ("Kept", "Gone")
    )
    cook = client.post("/api/cooks", json={"name": "Gone", "plan": BRISKET}).json()["id"]
    stays = client.post("/api/cooks", json={"name": "Stays", "plan": BRISKET}).json()["id"]
    written = BytesIO()
    Image.new("RGB", (40, 30), "red").save(written, "PNG")
    for one in (cook, stays):
        client.post(f"/api/cooks/{one}/photos", content=written.getvalue(),
                    headers={"content-type": "image/png"})  # fmt: skip
    assert len(list((tmp_path / "photos").iterdir())) == 2
    client.delete(f"/api/plans/{gone}")
    client.delete(f"/api/cooks/{cook}")
    told = client.get("/api/deleted").json()
    assert (told["plans"], told["cooks"]) == (1, 1)
    assert client.delete("/api/deleted").json() == told
    assert client.get("/api/deleted").json() == dict.fromkeys(told, 0)
    assert client.post(f"/api/plans/{gone}/restore").status_code == 404
    assert client.post(f"/api/cooks/{cook}/restore").status_code == 404
    assert client.get(f"/api/plans/{kept}").status_code == 200
    assert client.get(f"/api/cooks/{stays}").status_code == 200
    assert len(list((tmp_path / "photos").iterdir())) == 1
