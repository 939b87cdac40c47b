# Shared by bin/kill-test and bin/fuzz: a shed of its own with the demo, on free ports, that is torn down afterwards.
# Sourced after SHED_RUN_DIR is set.
. "$(dirname "${BASH_SOURCE[0]}")/shed.sh"
http_port=$(free_port); db_port=$(free_port); gauge_port=$(free_port)
export SHED_HTTP_PORT=$http_port SHED_DB_PORT=$db_port SHED_GAUGE_PORT=$gauge_port
install_packages
mkdir -p "$run"
install_libraries
stop_all
trap 'stop_all' EXIT
make_run_folder
# What an earlier run left may be of another day's migrations.
rm -rf "$run/mariadb"
start_database
build
console doctrine:migrations:migrate --no-interaction --allow-no-migration --quiet
console shed:demo --yes
console shed:replan
start_web
start_gauge
