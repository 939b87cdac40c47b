<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/**
 * Who may do what, change by change, by the name of its route: what the page on roles says and what the tests hold
 * every route against. The voters decide; this is their table.
 */
enum Rights: string
{
    case Everybody = 'everybody';

    /** Apprentices for what they made themselves; technicians and owners for anybody's. */
    case Own = 'own';
    case Technician = 'technician';
    case Owner = 'owner';

    /** @return array<string, self> */
    public static function ofChanges(): array
    {
        return array_fill_keys([
            'take_in', 'take_in_list', 'job_machine', 'job_spec_choose', 'finding', 'short', 'act', 'attempt', 'surge', 'job_limits', 'job_comeback', 'job_charge', 'machine_note', 'machine_hours', 'shelf_fill', 'deed', 'job_waits_on', 'job_with', 'look_back_say', 'note', 'job_calc_save', 'fuel_read', 'fuel_new_jar', 'fuel_settle', 'photo_add', 'waste_add',
            'trace_import', 'job_trace_import', 'trace_listen', 'job_trace_listen', 'trace_record', 'job_trace_record', 'trace_file', 'carburetor_move', 'carburetor_bath', 'job_parts_want', 'part_becomes', 'part_expected', 'plan_started', 'plan_done', 'plan_longer', 'plan_cannot', 'plan_pin', 'plan_feed',
            'me', 'my_sessions', 'own_password', 'second_factor', 'sign_out',
        ], self::Everybody) + array_fill_keys([
            'entry_correct', 'entry_undo', 'photo_remove', 'photo_caption', 'waste_take_back', 'wait_minutes', 'wait_end', 'charge_take_back', 'machine_note_take_back', 'trace_wait', 'trace_stop',
        ], self::Own) + array_fill_keys([
            'put_right', 'ask_past', 'estimate_make', 'estimate_answer', 'job_sheet_send', 'shelf_new', 'shelf_import', 'shelf_move', 'sheet_withdraw', 'job_hand_back', 'case_import', 'fuel_school', 'job_schools_choose', 'carburetor_template', 'spec_new', 'spec_page', 'spec_import', 'waste_can', 'waste_can_empty', 'waste_rule', 'oil_new', 'oil_move',
        ], self::Technician) + array_fill_keys([
            'prices_set', 'season_feed', 'plan_hours_set', 'plan_away', 'plan_back', 'plan_equipment', 'people', 'person_link', 'person_role', 'person_leave', 'person_sign_out', 'person_forget', 'schools_choose', 'odds_fault', 'odds_test', 'odds_claims', 'odds_reset', 'my_second_factor', 'shop', 'shop_throw_away_demo', 'owner_erase',
        ], self::Owner);
    }
}
