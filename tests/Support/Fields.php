<?php

namespace Tests\Support;

final class Fields
{
    /** Fields the forms of the application have, with values that are right. */
    public const RIGHT = ['item' => 'LID-9', 'quantity' => '1', 'version' => '1', 'reason' => 'why', 'place_id' => '5', 'due_on' => '2026-12-11', 'rank' => '5', 'price' => '1', 'codes' => '',
        'order' => '1', 'lines' => ['1' => '1'], 'orders' => ['1'], 'good' => '1', 'scrap' => '0', 'pass_on' => '0', 'minutes' => '1', 'name' => 'x', 'number' => '15', 'setup_minutes' => '1',
        'run_rate' => '1', 'work_centre_id' => '1', 'promised_on' => '2026-12-18', 'customer_id' => '1', 'by' => 'stock', 'then' => 'shelf', 'how' => 'accept', 'class' => 'handling', 'to' => 'blocked',
        'condition' => 'free', 'cost' => '1', 'amount' => '1', 'code' => 'H-1', 'answer' => 'yes', 'ends_on' => '2026-10-31', 'expires_on' => '2027-01-31', 'items' => ['0' => ['number' => 'BRG-25', 'quantity' => '1']],
        'expected_on' => '2026-12-18', 'asked_for' => '2026-12-10', 'moves' => ['1'], 'picked' => ['1'], 'do' => 'keep', 'part' => 'whole', 'step_number' => '10', 'move' => '1-0', 'centre' => '1', 'machine' => '1',
        'minute' => '29000000', 'seconds' => '2', 'seed' => '1', 'hours' => '4', 'wanted' => '2026-12-18', 'from' => '2026-11-25T08:00', 'until' => '2026-11-26T08:00', 'person' => '1', 'date' => '2026-12-24', 'kind' => 'closed',
        'week' => ['1' => ['work' => '07:00-15:30', 'break' => '']], 'remove' => ['1'], 'says' => 'x', 'seen' => '1', 'scan' => 'H-1', 'note' => 'x', 'booked_on' => '2026-11-24', 'short_reason' => 'x', 'unit' => 'pc', 'lot' => 'H-1',
        'supplier_lot' => 'x', 'owner_id' => '1', 'purchase_id' => '1', 'other' => '1', 'step' => '1', 'finish' => '29000000', 'for' => 'x', 'only' => ['1'], 'plan' => '1', 'text' => 'x', 'q' => 'x', 'before' => '1', 'skip' => '1', 'days' => '7'];
}
