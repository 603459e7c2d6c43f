"""The network is answered once a browser is paired, over https, and not before."""

import ipaddress
import ssl
import stat
from datetime import UTC, datetime, timedelta
from pathlib import Path

import pytest
from cryptography import x509
from fastapi.testclient import TestClient

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.api.lan import COOKIE, Lan, prepare

ADDRESS = "192.0.2.77"
"""Published: RFC 5737, an address that is nobody's."""


@pytest.fixture
def lan(tmp_path: Path) -> Lan:
    return prepare(tmp_path, ADDRESS)


def from_network(folder: Path, lan: Lan) -> TestClient:
    app = create_app(folder, LOCAL_HOSTS | {ADDRESS}, lan=lan)
    return TestClient(app, base_url=f"https://{ADDRESS}:8137", client=("192.0.2.5", 50000))


def test_certificate_and_token_are_made_once_and_for_us_alone(tmp_path: Path, lan: Lan) -> None:
    found = x509.load_pem_x509_certificate(lan.certificate.read_bytes())
    names = found.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    assert ipaddress.ip_address(ADDRESS) in names.get_values_for_type(x509.IPAddress)
    # published: at most 398 days (CA/Browser Forum baseline requirements, from memory)
    assert found.not_valid_after_utc - found.not_valid_before_utc <= timedelta(days=398)
    assert found.not_valid_before_utc < datetime.now(UTC)
    for file in (lan.key, tmp_path / "lan" / "token"):
        assert stat.S_IMODE(file.stat().st_mode) == 0o600
    assert len(lan.token) >= 20
    assert prepare(tmp_path, ADDRESS) == lan
    # a key pair that a server can use
    ssl.create_default_context(ssl.Purpose.CLIENT_AUTH).load_cert_chain(lan.certificate, lan.key)
    elsewhere = prepare(tmp_path, "192.0.2.78")
    assert elsewhere.fingerprint != lan.fingerprint
    assert elsewhere.token == lan.token  # phones stay paired when the address changes
    lan.certificate.write_text("cut sho")
    assert prepare(tmp_path, ADDRESS).fingerprint != lan.fingerprint


def test_nothing_without_the_token(tmp_path: Path, lan: Lan) -> None:
    with from_network(tmp_path, lan) as phone:
        for path in ("/", "/cook", "/api/health", "/api/plans", "/api/openapi.json", "/pair",
                     "/pair?token=", "/pair?token=wrong", "/assets/x.js"):  # fmt: skip
            reply = phone.get(path, follow_redirects=False)
            assert reply.status_code == 403, path
            assert reply.content == b""
        phone.cookies.set(COOKIE, lan.token)  # the token is not the cookie
        assert phone.get("/api/health").status_code == 403


def test_paired_it_is_answered_and_other_sites_are_not(tmp_path: Path, lan: Lan) -> None:
    with from_network(tmp_path, lan) as phone:
        reply = phone.get(f"/pair?token={lan.token}", follow_redirects=False)
        assert (reply.status_code, reply.headers["location"]) == (303, "/cook")
        cookie = reply.headers["set-cookie"].lower()
        assert all(word in cookie for word in ("secure", "httponly", "samesite=strict"))
        assert lan.token.lower() not in cookie
        assert phone.get("/api/health").status_code == 200
        foreign = {"Origin": "https://elsewhere.example"}
        changed = phone.put("/api/clock", json={"speed": 1}, headers=foreign)
        assert changed.status_code == 403
        wrong_host = phone.get("/api/health", headers={"Host": "elsewhere.example"})
        assert wrong_host.status_code == 400


def test_this_machine_needs_no_token_and_tells_it(tmp_path: Path, lan: Lan) -> None:
    app = create_app(tmp_path, LOCAL_HOSTS | {ADDRESS}, lan=lan)
    with TestClient(app, base_url="https://127.0.0.1", client=("127.0.0.1", 50000)) as here:
        told = here.get("/api/lan").json()
        assert told["address"] == f"https://{ADDRESS}"
        assert told["pairing"].endswith(f"/pair?token={lan.token}")
        assert told["fingerprint"] == lan.fingerprint
        # published: a QR code is a square of 21 + 4 n modules (ISO/IEC 18004, from memory)
        assert len(told["modules"]) == len(told["modules"][0])
        assert (len(told["modules"]) - 21) % 4 == 0
    with from_network(tmp_path, lan) as phone:
        phone.cookies.set(COOKIE, lan.cookie)
        assert phone.get("/api/lan").json()["pairing"] is None  # a phone pairs no other phone


def test_without_lan_there_is_none(client: TestClient) -> None:
    assert client.get("/api/lan").json()["address"] is None
