"""The network is answered once a browser is paired, over https, and not before."""

import ipaddress
import ssl
import stat
from datetime import UTC, datetime, timedelta
from hashlib import sha256
from pathlib import Path

import pytest
from cryptography import x509
from fastapi.testclient import TestClient
from typer.testing import CliRunner

from pneumachron.api.app import LOCAL_HOSTS, create_app
from pneumachron.api.lan import COOKIE, MOST_WRONG, Lan, Pairing, prepare
from pneumachron.cli import app as cli

ADDRESS = "192.0.2.77"
"""Published: RFC 5737, an address that is nobody's."""


@pytest.fixture
def lan(tmp_path: Path) -> Lan:
    return prepare(tmp_path, ADDRESS)


def from_network(folder: Path, lan: Lan) -> TestClient:
    app = create_app(folder, LOCAL_HOSTS | {ADDRESS}, lan=lan)
    return TestClient(app, base_url=f"https://{ADDRESS}:8137", client=("192.0.2.5", 50000))


def paired(phone: TestClient, lan: Lan) -> None:
    reply = phone.get(f"/pair?code={lan.pairing.code()}", follow_redirects=False)
    assert (reply.status_code, reply.headers["location"]) == (303, "/cook")


@pytest.fixture(autouse=True)
def _no_wait(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("pneumachron.api.guard.WRONG_WAIT_S", 0.0)


def test_certificate_and_key_are_made_once_and_for_us_alone(tmp_path: Path, lan: Lan) -> None:
    found = x509.load_pem_x509_certificate(lan.certificate.read_bytes())
    names = found.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    assert ipaddress.ip_address(ADDRESS) in names.get_values_for_type(x509.IPAddress)
    # published: at most 398 days (CA/Browser Forum baseline requirements, from memory)
    assert found.not_valid_after_utc - found.not_valid_before_utc <= timedelta(days=398)
    assert found.not_valid_before_utc < datetime.now(UTC)
    assert stat.S_IMODE(lan.key.stat().st_mode) == 0o600
    assert stat.S_IMODE(lan.key.parent.stat().st_mode) == 0o700
    assert prepare(tmp_path, ADDRESS) == lan
    # a key pair that a server can use
    ssl.create_default_context(ssl.Purpose.CLIENT_AUTH).load_cert_chain(lan.certificate, lan.key)
    elsewhere = prepare(tmp_path, "192.0.2.78")
    assert elsewhere.fingerprint != lan.fingerprint


@pytest.mark.parametrize("file", ["certificate", "key"])
@pytest.mark.parametrize("content", [b"", b"cut sho"])
def test_a_broken_pair_is_made_anew(tmp_path: Path, lan: Lan, file: str, content: bytes) -> None:
    place: Path = getattr(lan, file)
    place.write_bytes(content)
    again = prepare(tmp_path, ADDRESS)
    assert again.fingerprint != lan.fingerprint
    ssl.create_default_context(ssl.Purpose.CLIENT_AUTH).load_cert_chain(
        again.certificate, again.key
    )


def test_a_key_of_another_certificate_is_not_used(tmp_path: Path, lan: Lan) -> None:
    other = prepare(tmp_path / "other", ADDRESS)
    lan.key.write_bytes(other.key.read_bytes())
    again = prepare(tmp_path, ADDRESS)
    ssl.create_default_context(ssl.Purpose.CLIENT_AUTH).load_cert_chain(
        again.certificate, again.key
    )


def test_nothing_without_pairing(tmp_path: Path, lan: Lan) -> None:
    lan.pairing.code()
    with from_network(tmp_path, lan) as phone:
        for path in ("/", "/cook", "/pair", "/pair?code=", "/pair?code=wrong", "/assets/x.js"):
            reply = phone.get(path, follow_redirects=False)
            assert reply.status_code == 403, path
            assert "not paired yet" in reply.text  # and what to do
            assert "default-src 'none'" in reply.headers["content-security-policy"]
        for path in ("/api/health", "/api/plans", "/api/openapi.json", "/api/devices"):
            reply = phone.get(path)
            assert (reply.status_code, reply.json()["code"]) == (403, "not_paired")
        for cookie in ("", "x", lan.pairing.code()):
            phone.cookies.set(COOKIE, cookie)
            assert phone.get("/api/health").status_code == 403


@pytest.mark.parametrize("token", ["", " ", "\n", "short", "x" * 21, "\ud800"])
def test_a_token_file_that_could_be_guessed_lets_nobody_in(
    tmp_path: Path, lan: Lan, token: str
) -> None:
    # what a crash of version 1 left: created, and nothing in it yet
    (tmp_path / "lan" / "token").write_bytes(token.encode("utf-8", "surrogatepass"))
    again = prepare(tmp_path, ADDRESS)
    assert again.old_cookie is None
    with from_network(tmp_path, again) as phone:
        for guess in (
            token,
            sha256(f"cookie {token.strip()}".encode("utf-8", "replace")).hexdigest(),
        ):
            phone.cookies.set(COOKIE, guess.strip().encode("ascii", "replace").decode())
            assert phone.get("/api/health").status_code == 403
            code = guess.encode("ascii", "replace").decode()
            assert phone.get("/pair", params={"code": code}).status_code == 403


def test_a_phone_paired_by_version_1_stays_paired_until_it_is_forgotten(tmp_path: Path) -> None:
    (tmp_path / "lan").mkdir()
    token = "vAq4wTz7-Ek1uUq0cJ5r8w"
    (tmp_path / "lan" / "token").write_text(token)
    cookie = sha256(f"cookie {token}".encode()).hexdigest()  # as version 1 made it
    with from_network(tmp_path, prepare(tmp_path, ADDRESS)) as phone:
        phone.cookies.set(COOKIE, cookie)
        assert phone.get("/api/health").status_code == 200
        (device,) = phone.get("/api/devices").json()["devices"]
        phone.delete(f"/api/devices/{device['id']}")
        assert phone.get("/api/health").status_code == 403
    with from_network(tmp_path, prepare(tmp_path, ADDRESS)) as phone:
        phone.cookies.set(COOKIE, cookie)
        assert phone.get("/api/health").status_code == 403  # also after a restart


def test_a_code_is_good_once_and_each_device_has_its_own_cookie(tmp_path: Path, lan: Lan) -> None:
    code = lan.pairing.code()
    with from_network(tmp_path, lan) as phone:
        reply = phone.get(f"/pair?code={code}", follow_redirects=False)
        cookie = reply.headers["set-cookie"].lower()
        assert all(word in cookie for word in ("secure", "httponly", "samesite=strict"))
        assert code.lower() not in cookie
        assert phone.get("/api/health").status_code == 200
        first = phone.cookies[COOKIE]
        phone.cookies.clear()
        assert phone.get(f"/pair?code={code}").status_code == 403  # it was used
        paired(phone, lan)
        assert phone.cookies[COOKIE] != first
        listed = phone.get("/api/devices").json()["devices"]
        assert len(listed) == 2
        assert "digest" not in listed[0]
        foreign = {"Origin": "https://elsewhere.example"}
        assert phone.delete("/api/devices/x", headers=foreign).status_code == 403
        wrong_host = phone.get("/api/health", headers={"Host": "elsewhere.example"})
        assert wrong_host.status_code == 400
    with from_network(tmp_path, prepare(tmp_path, ADDRESS)) as again:
        again.cookies.set(COOKIE, first)
        assert again.get("/api/health").status_code == 200  # over a restart


def test_a_code_is_good_for_ten_minutes() -> None:
    counts = [0.0]
    pairing = Pairing(count=lambda: counts[0])
    code = pairing.code()
    counts[0] = 599.0
    assert pairing.code() == code
    counts[0] = 600.0
    assert not pairing.take(code)
    assert pairing.code() != code


def test_a_code_is_void_after_wrong_ones() -> None:
    pairing = Pairing()
    code = pairing.code()
    for _ in range(MOST_WRONG):
        assert not pairing.take("a guess")
    assert not pairing.take(code)


def test_this_machine_needs_no_pairing_and_tells_the_code(tmp_path: Path, lan: Lan) -> None:
    app = create_app(tmp_path, LOCAL_HOSTS | {ADDRESS}, lan=lan)
    with TestClient(app, base_url="https://127.0.0.1", client=("127.0.0.1", 50000)) as here:
        told = here.get("/api/lan").json()
        assert told["address"] == f"https://{ADDRESS}"
        assert told["pairing"].endswith(f"/pair?code={lan.pairing.code()}")
        assert told["fingerprint"] == lan.fingerprint
        # published: a QR code is a square of 21 + 4 n modules (ISO/IEC 18004, from memory)
        assert len(told["modules"]) == len(told["modules"][0])
        assert (len(told["modules"]) - 21) % 4 == 0
    with from_network(tmp_path, lan) as phone:
        paired(phone, lan)
        assert phone.get("/api/lan").json()["pairing"] is None  # a phone pairs no other phone


def test_without_lan_there_is_none(client: TestClient) -> None:
    assert client.get("/api/lan").json()["address"] is None
    assert client.get("/api/devices").json() == {"devices": []}


@pytest.mark.parametrize("host", ["0.0.0.0", "192.168.0.9", "::", "kitchen.local"])
def test_a_host_beyond_this_machine_is_refused(tmp_path: Path, host: str) -> None:
    refused = CliRunner().invoke(cli, ["serve", "--host", host, "--data", str(tmp_path)])
    assert refused.exit_code == 2
    assert "--lan" in refused.stderr


def test_every_answer_has_the_headers_a_mistake_of_ours_too(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("pneumachron.services.planning.list_plans", None)
    app = create_app(tmp_path, LOCAL_HOSTS)
    with TestClient(app, base_url="http://127.0.0.1", raise_server_exceptions=False) as client:
        broken = client.get("/api/plans")
        assert (broken.status_code, broken.json()["code"]) == (500, "unexpected")
        for reply in (broken, client.get("/api/none"), client.get("/"), client.get("/api/health")):
            assert "default-src 'none'" in reply.headers["content-security-policy"]
            assert reply.headers["x-content-type-options"] == "nosniff"


@pytest.mark.parametrize(("client", "packed"), [("192.0.2.5", True), ("127.0.0.1", False)])
def test_answers_are_packed_for_a_phone_alone(tmp_path: Path, client: str, packed: bool) -> None:
    here = TestClient(create_app(tmp_path), base_url="http://127.0.0.1", client=(client, 50000))
    with here:
        reply = here.get("/api/catalogue")
    assert reply.status_code == 200
    assert ("content-encoding" in reply.headers) is packed
