"""Asked by Patroni on a machine that holds the leader's key, before its PostgreSQL takes over. Refuses where the other has gone on
meanwhile: a primary that was cut off and comes back with an old view of etcd may take the key from the one that took over (Patroni 3.0
writes it without comparing), and what was acknowledged there since would be lost. Nothing is known only where etcd cannot be asked: it
refuses then too. Where the newer timeline is lost for good, its disk with it, an operator removes pre_promote and lets it take over."""
import base64
import json
import subprocess
import sys
import urllib.request

MEMBERS = ["{{ONE}}", "{{TWO}}", "{{THREE}}"]
SCOPE = "/service/jolly-penny/"
SOCKET = "{{RUN}}/postgres"


def text(value):
    return base64.b64decode(value).decode()


def key(value):
    return base64.b64encode(value.encode()).decode()


def etcd():
    """What the majority of etcd says, by key; never what one member remembers."""
    asked = json.dumps({"key": key(SCOPE), "range_end": key(SCOPE[:-1] + "0")}).encode()
    for host in MEMBERS:
        try:
            request = urllib.request.Request(f"http://{host}:2379/v3/kv/range", asked)
            with urllib.request.urlopen(request, timeout=3) as answer:
                return {text(kv["key"])[len(SCOPE):]: text(kv["value"]) for kv in json.load(answer).get("kvs", [])}
        except OSError:
            continue
    sys.exit("etcd cannot be asked")


def own_timeline():
    said = subprocess.check_output(["psql", "-h", SOCKET, "-U", "postgres", "-qAtX", "-F", " ", "-c", "IDENTIFY_SYSTEM", "dbname=postgres replication=1"])
    return int(said.split()[1])


known = etcd()
own = own_timeline()
newest = max([0, *(row[0] + 1 for row in json.loads(known.get("history", "[]")))])
for name, value in known.items():
    if name.startswith("members/") and name != "members/{{SELF}}":
        newest = max(newest, json.loads(value).get("timeline") or 0)
if newest > own:
    sys.exit(f"timeline {newest} has gone on elsewhere; this machine is on {own}")
