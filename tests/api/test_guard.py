"""What is refused before any route runs, and what every answer carries."""

import pytest
from fastapi.testclient import TestClient

from pneumachron.api.guard import MAX_BODY_BYTES


@pytest.mark.parametrize("host", ["evil.example", "127.0.0.1.evil.example", "", "[::1", "10.0.0.1"])
def test_foreign_hosts(client: TestClient, host: str) -> None:
    answer = client.get("/api/health", headers={"Host": host})
    assert answer.status_code == 400
    assert answer.json()["code"] == "unknown_host"


@pytest.mark.parametrize("host", ["127.0.0.1:8137", "localhost", "localhost:1", "[::1]:8137"])
def test_own_hosts(client: TestClient, host: str) -> None:
    assert client.get("/api/health", headers={"Host": host}).status_code == 200


@pytest.mark.parametrize("origin", ["http://evil.example", "null", "http://127.0.0.1:99"])
def test_foreign_origins_change_nothing(client: TestClient, origin: str) -> None:
    answer = client.post("/api/people", json={"name": "x"}, headers={"Origin": origin})
    assert answer.status_code == 403
    assert client.get("/api/people").json()["people"] == []


def test_own_origin(client: TestClient) -> None:
    answer = client.post("/api/people", json={"name": "x"}, headers={"Origin": "http://127.0.0.1"})
    assert answer.status_code == 201


def test_size_limit(client: TestClient) -> None:
    big = b"x" * (MAX_BODY_BYTES + 1)
    assert client.post("/api/plan", content=big).status_code == 413
    chunks = (b"x" * 65536 for _ in range(8))  # no length given
    answer = client.post("/api/plan", content=chunks)
    assert answer.status_code == 413
    assert answer.json()["code"] == "too_large"
    lying = {"Content-Length": "lots"}
    assert client.post("/api/plan", content=b"{}", headers=lying).status_code == 413


def test_security_headers(client: TestClient) -> None:
    for path in ("/api/health", "/api/nowhere", "/"):
        headers = client.get(path).headers
        policy = headers["content-security-policy"]
        assert "default-src 'none'" in policy
        assert "unsafe" not in policy
        assert headers["x-content-type-options"] == "nosniff"


@pytest.mark.parametrize(
    ("method", "path", "status"),
    [
        ("GET", "/api/nowhere", 404),
        ("GET", "/api/plans/not-there", 404),
        ("DELETE", "/api/plan", 405),
        ("GET", "/api/plans?limit=100000", 422),
    ],
)
def test_one_shape_of_error(client: TestClient, method: str, path: str, status: int) -> None:
    answer = client.request(method, path)
    assert answer.status_code == status
    assert set(answer.json()) == {"code", "message", "field", "hint"}


def test_front_end_is_served(client: TestClient) -> None:
    page = client.get("/")
    assert "Pneumachron" in page.text
    assert client.get("/plans").text == page.text  # an address of the app's own
    assert client.get("/nothing.js").status_code == 404
    assert page.headers["cache-control"] == "no-cache"
